import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { buildNode } from './nodeBuild.mjs';
import { PlainError, step } from './say.mjs';

/**
 * Runs the server as a process of its own and waits until it is ready.
 * @param {object} options
 * @param {string} options.root
 * @param {Record<string, string>} options.env - what it needs beside our own environment
 * @param {string[]} options.args
 * @param {(failure: { failed: string, code: string | null }) => string} options.inWords
 * @returns {Promise<import('./supervise.mjs').Running & { pid: number }>}
 * @throws {PlainError} when it ends before it is ready
 */
export async function startServerProcess({ root, env, args, inWords }) {
  const main = join(await buildNode(root, 'server'), 'main.mjs');
  return new Promise((ready, reject) => {
    const child = spawn(process.execPath, ['--enable-source-maps', main, ...args], {
      cwd: root,
      env: {
        ...process.env,
        ...env,
        LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
        NODE_ENV: 'production',
      },
      stdio: ['ignore', 'inherit', 'pipe', 'ipc'],
      // Ctrl-C reaches us alone; we then stop the parts in their order.
      detached: true,
    });
    let failed = null;
    let tellEnd;
    const ended = new Promise((end) => (tellEnd = end));
    child.stderr.on('data', (data) => {
      if (failed === null) process.stderr.write(data);
    });
    child.on('message', (message) => {
      if (message.progress) step(message.progress);
      if (message.failed) failed = inWords(message);
      if (message.ready) ready({ pid: child.pid, ended, stop: () => endChild(child) });
    });
    child.on('error', (error) => reject(new PlainError(error.message)));
    child.on('exit', (code, signal) => {
      const reason = failed ?? (signal ? `killed by ${signal}` : `exit code ${code}`);
      tellEnd(reason);
      reject(new PlainError(failed ?? `the server could not be started: ${reason}`));
    });
  });
}

function endChild(child) {
  return new Promise((ended) => {
    if (child.exitCode !== null || child.signalCode !== null) return ended();
    child.on('exit', ended);
    child.kill('SIGTERM');
  });
}
