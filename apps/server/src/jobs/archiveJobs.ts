import { fork } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import type { Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { fileURLToPath } from 'node:url';
import type { ArchiveImported } from '@keen/contract';
import { AppError, invalid } from '../errors.ts';
import type { ArchiveJob, ArchiveProgress, ArchiveResult } from './archiveWorker.ts';

const MEMORY_MB = 1_024;
const LIMIT_MS = 4 * 3_600_000;

/** Told how far an archive is, now and then. */
export type OnProgress = (progress: ArchiveProgress) => void;

/** A process that packs or unpacks a shop's archive, so that the server answers others meanwhile. */
function start(job: ArchiveJob, isAborted: AbortSignal): ChildProcess {
  const child = fork(fileURLToPath(new URL('./archiveWorker.mjs', import.meta.url)), {
    execArgv: [`--max-old-space-size=${MEMORY_MB}`],
    stdio: ['ignore', 'pipe', 'inherit', 'ipc'],
  });
  const limit = setTimeout(() => child.kill('SIGKILL'), LIMIT_MS);
  const abort = () => child.kill('SIGKILL');
  isAborted.addEventListener('abort', abort, { once: true });
  child.once('exit', () => {
    clearTimeout(limit);
    isAborted.removeEventListener('abort', abort);
  });
  child.send(job);
  return child;
}

function resultOf(child: ChildProcess, onProgress: OnProgress): Promise<ArchiveImported | null> {
  return new Promise((resolve, reject) => {
    child.on('message', (result: ArchiveResult | ArchiveProgress) => {
      if (!('ok' in result)) onProgress(result);
      else if (result.ok) resolve(result.taken);
      else if (result.reason !== null) reject(invalid(result.refusals, result.reason));
      else reject(new Error(result.message));
    });
    child.once('error', reject);
    child.once('exit', (code, signal) =>
      reject(new AppError(503, 'busy', 'archiveBroke', { values: { why: signal ?? code ?? '' } })),
    );
  });
}

/** Packs the whole shop into a stream. Rejects when it broke off: what was written is then no zip. */
export async function packArchive(
  job: Extract<ArchiveJob, { kind: 'export' }>,
  to: Writable,
  isAborted: AbortSignal,
  onProgress: OnProgress,
): Promise<void> {
  const child = start(job, isAborted);
  const result = resultOf(child, onProgress);
  // Ends the answer itself only when all of it has come.
  await Promise.all([result, pipeline(child.stdout!, to, { end: false })]);
  to.end();
}

/** Unpacks an archive into the shop, all in one step. */
export async function unpackArchive(
  job: Extract<ArchiveJob, { kind: 'import' }>,
  isAborted: AbortSignal,
  onProgress: OnProgress,
): Promise<ArchiveImported> {
  const taken = await resultOf(start(job, isAborted), onProgress);
  if (!taken) throw new Error('nothing was taken');
  return taken;
}
