import { spawn } from 'node:child_process';
import { PlainError } from './say.mjs';

/**
 * Runs a command to its end.
 * @param {string} command
 * @param {string[]} args
 * @param {import('node:child_process').SpawnOptions & { show?: boolean }} [options] `show` passes
 *   its output on; otherwise it is kept for the error message
 * @returns {Promise<string>} what it printed on standard output
 * @throws {PlainError} with the last lines it printed
 */
export function run(command, args, { show = false, ...options } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      ...options,
      stdio: ['ignore', show ? 'inherit' : 'pipe', show ? 'inherit' : 'pipe'],
    });
    let out = '';
    let all = '';
    child.stdout?.on('data', (data) => {
      out += data;
      all += data;
    });
    child.stderr?.on('data', (data) => (all += data));
    child.on('error', (error) =>
      reject(new PlainError(`${command} could not be run: ${error.message}`)),
    );
    child.on('exit', (code) => {
      if (code === 0) resolve(out);
      else reject(new PlainError(`${command} failed: ${lastLines(all) || `exit code ${code}`}`));
    });
  });
}

function lastLines(text) {
  return text.trim().split('\n').slice(-3).join('; ');
}
