import { and, eq, sql } from 'drizzle-orm';
import { inShop } from '../db/client.ts';
import { learningRuns } from '../db/schema/index.ts';
import { notifyLive } from '../db/notifyLive.ts';
import type { JobData } from '../db/queues.ts';
import { learnFromVisits } from './learnFromVisits.ts';
import type { WorkContext } from './workContext.ts';

/** Any number, the same in every process: one of them works on a run at a time. */
const LEARNING_LOCK = 4310_0005;
/** A worker that dies is missed after a slice's time, so a slice is short. */
const SLICE_MS = 30_000;

/** Works on a run for a while, and sends the rest of it on. */
export async function goOnLearning(work: WorkContext, data: JobData<'learning'>): Promise<void> {
  const { db, pool, queue, stopping } = work;
  const { shopId, runId } = data;
  const holder = await pool.connect();
  try {
    const { rows } = await holder.query<{ mine: boolean }>(
      'select pg_try_advisory_lock($1, hashtext($2)) as mine',
      [LEARNING_LOCK, runId],
    );
    // Another worker is at it.
    if (!rows[0]?.mine) return;
    const end = performance.now() + SLICE_MS;
    const isOver = () => stopping.aborted || performance.now() > end;
    if ((await learnFromVisits(db, shopId, runId, isOver)) === 'more') {
      await inShop(db, shopId, (tx) => queue.send(tx, 'learning', data, { key: runId }));
    }
  } finally {
    // The lock ends with its connection.
    holder.release(true);
  }
}

/** A run that broke off again and again is given up, and says so. */
export async function noteFailedRun(
  { db }: WorkContext,
  { shopId, runId }: JobData<'learningFailed'>,
): Promise<void> {
  await inShop(db, shopId, async (tx) => {
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
    await notifyLive(tx, { shopId, kind: 'learning' });
  });
}

/** Sends every run that should be at work; one that waits already is not sent twice. */
export async function resumeRuns({ db, queue }: Pick<WorkContext, 'db' | 'queue'>): Promise<void> {
  const { rows } = await db.execute<{ shop_id: string; id: string }>(
    sql`select shop_id, id from keen_learning_runs()`,
  );
  for (const { shop_id: shopId, id: runId } of rows) {
    await inShop(db, shopId, (tx) => queue.send(tx, 'learning', { shopId, runId }, { key: runId }));
  }
}
