import { connect } from '../db/client.ts';
import { learnFromVisits } from './learnFromVisits.ts';
import { workOnce } from './workOnce.ts';

/** A run to work on. */
export interface LearningOrder {
  databaseUrl: string;
  shopId: string;
  runId: string;
}

/** Any number, the same in every process: one of them works on a run at a time. */
const LEARNING_LOCK = 4310_0005;

workOnce(learn);

async function learn({ databaseUrl, shopId, runId }: LearningOrder): Promise<void> {
  const { db, pool } = connect(databaseUrl);
  const holder = await pool.connect();
  const { rows } = await holder.query<{ mine: boolean }>(
    'select pg_try_advisory_lock($1, hashtext($2)) as mine',
    [LEARNING_LOCK, runId],
  );
  // Another server's process is at it.
  if (rows[0]?.mine) await learnFromVisits(db, shopId, runId);
  holder.release(true);
  await pool.end();
}
