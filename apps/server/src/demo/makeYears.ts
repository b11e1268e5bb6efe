import { fork } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import type { MadeUpYears } from '@keen/contract';
import type { Logger } from 'pino';
import type { YearsOrder, YearsMessage } from './yearsWorker.ts';

/** The made-up past of the demo shop in the making. */
export interface YearsMaking {
  /** How far it is. */
  progress(): MadeUpYears;
  close(): void;
}

const MEMORY_MB = 512;
/** A process that breaks off is started again this many times; what it has made stays. */
const MOST_TRIES = 3;
const TRY_AGAIN_MS = 10_000;

/**
 * Makes up the demo shop's two years in processes of low priority, while the shop is open.
 * @param ownerUrl - connection of the owner of the tables
 * @param cars - how many; those that are there already stay
 */
export function makeYears(ownerUrl: string, cars: number, log: Logger): YearsMaking {
  const parts = availableParallelism();
  const made = Array.from({ length: parts }, () => 0);
  const running = new Set<ChildProcess>();
  const waiting = new Set<NodeJS.Timeout>();
  let isClosed = false;
  let broken = 0;
  let hasPlace = true;

  function start(part: number, tries: number): void {
    const child = fork(fileURLToPath(new URL('./yearsWorker.mjs', import.meta.url)), {
      execArgv: [`--max-old-space-size=${MEMORY_MB}`],
    });
    running.add(child);
    made[part] = 0;
    child.on('message', (told: YearsMessage) => {
      if ('made' in told) made[part]! += told.made;
      else hasPlace = false;
    });
    child.once('exit', (code) => {
      running.delete(child);
      if (code === 0 || isClosed) return;
      if (tries >= MOST_TRIES) {
        broken++;
        log.error({ code, part }, 'the made-up years broke off');
        return;
      }
      const again = setTimeout(() => {
        waiting.delete(again);
        start(part, tries + 1);
      }, TRY_AGAIN_MS);
      waiting.add(again);
    });
    child.send({ ownerUrl, cars, part, parts } satisfies YearsOrder);
  }

  made.forEach((_, part) => start(part, 1));
  return {
    progress: () => ({
      cars: hasPlace ? cars : 0,
      made: made.reduce((sum, one) => sum + one, 0),
      brokeOff: broken > 0,
    }),
    close() {
      isClosed = true;
      for (const again of waiting) clearTimeout(again);
      for (const child of running) child.kill('SIGKILL');
    },
  };
}
