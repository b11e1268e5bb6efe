import type pg from 'pg';
import type { Logger } from 'pino';
import type { Database } from './db/client.ts';
import type { DiagnosisPool } from './jobs/diagnosisPool.ts';
import type { LiveHub } from './features/live/liveHub.ts';

/** Everything a route may need, built once at the start. */
export interface Context {
  pool: pg.Pool;
  db: Database;
  log: Logger;
  diagnoses: DiagnosisPool;
  live: LiveHub;
  sessionSecret: string;
  webDir: string | undefined;
}
