import { fork } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import type { Logger } from 'pino';

/** A worker process that a server keeps. */
export interface WorkerProcess {
  /** Lets it finish the case at hand, for a moment. */
  close(): Promise<void>;
}

const MEMORY_MB = 1_024;
/** A worker that breaks off is started again after this long, and longer each time it does so at once. */
const FIRST_WAIT_MS = 1_000;
const LONGEST_WAIT_MS = 60_000;
const LIVED_MS = 60_000;
const GRACE_MS = 4_000;

/** Keeps one worker process beside this server, so that a single machine needs no other. */
export function superviseWorker(env: Record<string, string>, log: Logger): WorkerProcess {
  let child: ChildProcess | null = null;
  let timer: NodeJS.Timeout | undefined;
  let wait = FIRST_WAIT_MS;
  let isClosed = false;

  function start(): void {
    const begun = Date.now();
    const next = fork(fileURLToPath(new URL('./jobWorker.mjs', import.meta.url)), {
      env: { ...process.env, ...env },
      execArgv: ['--enable-source-maps', `--max-old-space-size=${MEMORY_MB}`],
    });
    child = next;
    next.once('exit', (code, signal) => {
      child = null;
      if (isClosed) return;
      log.error({ code, signal }, 'the worker broke off');
      wait = Date.now() - begun > LIVED_MS ? FIRST_WAIT_MS : Math.min(2 * wait, LONGEST_WAIT_MS);
      timer = setTimeout(start, wait);
    });
  }

  start();
  return {
    async close() {
      isClosed = true;
      clearTimeout(timer);
      const last = child;
      if (!last) return;
      const ended = new Promise<void>((done) => last.once('exit', () => done()));
      last.kill('SIGTERM');
      const cut = setTimeout(() => last.kill('SIGKILL'), GRACE_MS);
      await ended;
      clearTimeout(cut);
    },
  };
}
