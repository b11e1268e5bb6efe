import { fork } from 'node:child_process';
import type { ChildProcess } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { and, eq, sql } from 'drizzle-orm';
import type { Logger } from 'pino';
import { inShop } from '../db/client.ts';
import type { Database } from '../db/client.ts';
import { learningRuns } from '../db/schema/index.ts';
import { tellLive } from '../db/tellLive.ts';
import type { LearningOrder } from './learningWorker.ts';

/** Runs that learn a shop's constants, each in a process of its own. */
export interface LearningJobs {
  /** Works on a run as soon as there is room. One that is at work already goes on. */
  start(shopId: string, runId: string): void;
  /** Takes up every run that nobody works on, as after a server died. */
  takeUp(): Promise<void>;
  close(): void;
}

const MEMORY_MB = 512;
/** Processes at a time: the counter needs the other cores. */
const MOST_AT_ONCE = 1;
/** A process that breaks off is started again so often; what it has read stays. */
const MOST_TRIES = 3;

/** @param databaseUrl - of the app's role, for the processes */
export function createLearningJobs(databaseUrl: string, db: Database, log: Logger): LearningJobs {
  const running = new Map<string, ChildProcess>();
  const waiting = new Map<string, { shopId: string; runId: string; tries: number }>();
  let isClosed = false;

  function next(): void {
    if (isClosed || running.size >= MOST_AT_ONCE) return;
    const [job] = waiting.values();
    if (!job) return;
    const { shopId, runId, tries } = job;
    waiting.delete(runId);
    const child = fork(fileURLToPath(new URL('./learningWorker.mjs', import.meta.url)), {
      execArgv: [`--max-old-space-size=${MEMORY_MB}`],
    });
    running.set(runId, child);
    child.once('exit', (code) => {
      running.delete(runId);
      if (isClosed) return;
      if (code !== 0) {
        log.error({ code, runId }, 'learning broke off');
        if (tries < MOST_TRIES) waiting.set(runId, { shopId, runId, tries: tries + 1 });
        else fail(shopId, runId);
      }
      next();
    });
    child.send({ databaseUrl, shopId, runId } satisfies LearningOrder);
  }

  function fail(shopId: string, runId: string): void {
    inShop(db, shopId, async (tx) => {
      await tx
        .update(learningRuns)
        .set({ state: 'failed' })
        .where(
          and(
            eq(learningRuns.shopId, shopId),
            eq(learningRuns.id, runId),
            eq(learningRuns.state, 'running'),
          ),
        );
      await tellLive(tx, { shopId, kind: 'learning' });
    }).catch((error: unknown) => log.error({ err: error, runId }, 'failed run not noted'));
  }

  function start(shopId: string, runId: string): void {
    if (isClosed || running.has(runId) || waiting.has(runId)) return;
    waiting.set(runId, { shopId, runId, tries: 1 });
    next();
  }

  return {
    start,
    async takeUp() {
      const { rows } = await db.execute<{ shop_id: string; id: string }>(
        sql`select shop_id, id from keen_learning_runs()`,
      );
      for (const { shop_id: shopId, id } of rows) start(shopId, id);
    },
    close() {
      isClosed = true;
      waiting.clear();
      for (const child of running.values()) child.kill('SIGKILL');
    },
  };
}
