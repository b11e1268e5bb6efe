import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { PlainError } from './say.mjs';

/**
 * Takes a data folder: only one start at a time may use it.
 * @param {string} folder - made if it is not there
 * @returns {() => void} lets go of it
 * @throws {PlainError} when another start has it
 */
export function lockDataFolder(folder) {
  const file = join(folder, 'started');
  try {
    mkdirSync(folder, { recursive: true });
    if (existsSync(file)) {
      const pid = Number(readFileSync(file, 'utf8'));
      if (pid !== process.pid && isAlive(pid)) {
        throw new PlainError(
          `already running on ${folder} (process ${pid}); stop it, or use another --data folder`,
        );
      }
    }
    writeFileSync(file, String(process.pid));
  } catch (error) {
    if (error instanceof PlainError) throw error;
    throw new PlainError(`the folder ${folder} cannot be used: ${error.message}`);
  }
  return () => rmSync(file, { force: true });
}

function isAlive(pid) {
  try {
    process.kill(pid, 0);
    return isStart(pid);
  } catch (error) {
    return error.code === 'EPERM';
  }
}

/** After a crash the number may belong to some other program by now. */
function isStart(pid) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('start.mjs');
  } catch {
    return true;
  }
}

/** Whether a process still runs; one that ended but was not collected yet does not. */
export function isRunning(pid) {
  try {
    return !/^State:\s+Z/m.test(readFileSync(`/proc/${pid}/status`, 'utf8'));
  } catch {
    return false;
  }
}
