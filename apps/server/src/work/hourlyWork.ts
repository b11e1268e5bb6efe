import { BATCH_KEPT_DAYS } from '@keen/contract';
import { and, eq, lt, sql } from 'drizzle-orm';
import { applyRetention } from '../customers/retention.ts';
import { inShop } from '../db/client.ts';
import { batches } from '../db/schema/index.ts';
import { resumeRuns } from './goOnLearning.ts';
import type { WorkContext } from './workContext.ts';

/** What is due for all shops: retention periods, batches of last week, runs that nobody works on. */
export async function hourlyWork(work: WorkContext): Promise<void> {
  const { db, log } = work;
  await applyRetention(db, log);
  const { rows } = await db.execute<{ id: string }>(sql`select keen_shop_ids() as id`);
  for (const { id } of rows) {
    const old = sql`now() - make_interval(days => ${BATCH_KEPT_DAYS})`;
    await inShop(db, id, (tx) =>
      tx.delete(batches).where(and(eq(batches.shopId, id), lt(batches.endedAt, old))),
    );
  }
  await resumeRuns(work);
}
