import type pg from 'pg';
import type { Logger } from 'pino';
import type { Database } from '../db/client.ts';
import type { DiagnosisPool } from '../jobs/diagnosisPool.ts';
import type { JobQueue } from '../db/jobQueue.ts';

/** What work needs that is done off the queue. */
export interface WorkContext {
  db: Database;
  pool: pg.Pool;
  log: Logger;
  diagnoses: DiagnosisPool;
  queue: JobQueue;
  callbacksAnywhere: boolean;
  /** Aborted when this worker is to end: long work leaves off and sends the rest again. */
  stopping: AbortSignal;
}
