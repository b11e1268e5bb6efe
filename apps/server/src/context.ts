import type pg from 'pg';
import type { Logger } from 'pino';
import type { Database } from './db/client.ts';
import type { JobQueue } from './db/jobQueue.ts';
import type { Standby } from './db/standby.ts';
import type { DiagnosisPool } from './jobs/diagnosisPool.ts';
import type { Workshop } from './jobs/workshop.ts';
import type { YearsMaking } from './demo/makeYears.ts';
import type { LiveHub } from './features/live/liveHub.ts';
import type { Metrics } from './http/metrics.ts';

/** Everything a route may need, built once at the start. */
export interface Context {
  pool: pg.Pool;
  db: Database;
  /** For looks that may be a moment old. */
  standby: Standby;
  log: Logger;
  diagnoses: DiagnosisPool;
  workshop: Workshop;
  queue: JobQueue;
  live: LiveHub;
  metrics: Metrics;
  startedAt: Date;
  /** Where backups are made, and how often; null where somebody else makes them. */
  backups: { dir: string; everyHours: number } | null;
  /** Of the app's role, for processes that open a connection of their own. */
  databaseUrl: string;
  /** Whether programs may be called back at addresses of this network, and without https. */
  callbacksAnywhere: boolean;
  sessionSecret: string;
  webDir: string | undefined;
  /** Proxies whose word on the caller's address is taken. */
  trustedProxies: string[];
  /** Sign-ins that one address may try in a minute, right or wrong. */
  triesAMinute: number;
  /** Whether the made-up staff of a demo shop sign in with one press. */
  demo: boolean;
  /** The demo shop's past in the making; null where none is made. */
  years: YearsMaking | null;
}
