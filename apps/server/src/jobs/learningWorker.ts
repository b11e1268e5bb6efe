import { constants, setPriority } from 'node:os';
import { connect } from '../db/client.ts';
import { learnFromVisits } from './learnFromVisits.ts';

/** A run to work on. */
export interface LearningOrder {
  databaseUrl: string;
  shopId: string;
  runId: string;
}

/** Any number, the same in every process: one of them works on a run at a time. */
const LEARNING_LOCK = 4310_0005;

process.once('message', (order: LearningOrder) => {
  // Whoever waits for a diagnosis at the counter comes first.
  setPriority(constants.priority.PRIORITY_LOW);
  work(order).then(
    () => process.exit(0),
    (error: unknown) => {
      process.stderr.write(
        `${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`,
      );
      process.exit(1);
    },
  );
});
// The server has gone.
process.once('disconnect', () => process.exit(1));

async function work({ databaseUrl, shopId, runId }: LearningOrder): Promise<void> {
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
