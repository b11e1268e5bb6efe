import { createServer } from 'node:http';
import type { Server } from 'node:http';
import type { Logger } from 'pino';
import { createApp } from './app.ts';
import type { Context } from './context.ts';
import { wallOf } from './db/appRole.ts';
import { connect, PATIENT_CONNECT_MS } from './db/client.ts';
import type { Database } from './db/client.ts';
import { createJobQueue } from './db/jobQueue.ts';
import { migrateDatabase } from './db/migrate.ts';
import { createStandby } from './db/standby.ts';
import { sessionSecret } from './db/sessionSecret.ts';
import { makeYears } from './demo/makeYears.ts';
import { attachDevices } from './devices/deviceSockets.ts';
import { createLiveHub } from './features/live/liveHub.ts';
import { findVisit } from './features/visits/readVisits.ts';
import { createMetrics } from './http/metrics.ts';
import { serveMetrics } from './http/metricsServer.ts';
import { sessionMiddleware } from './http/sessions.ts';
import { createDiagnosisPool } from './jobs/diagnosisPool.ts';
import type { DiagnosisPool } from './jobs/diagnosisPool.ts';
import { createWorkshop } from './jobs/workshop.ts';
import { superviseWorker } from './work/workerProcess.ts';

export interface RunningServer {
  context: Context;
  http: Server;
  /** Of the figures; null where none are served. */
  figures: Server | null;
  port: number;
  /** Ends streams and requests, workers and connections, in this order. */
  close(): Promise<void>;
}

export interface ServerOptions {
  /** Of the app's role. */
  databaseUrl: string;
  /** Of the owner of the tables; the app's own role when left out. */
  ownerUrl?: string | undefined;
  /** Of a standby, for looks that may be a moment old; the database itself when left out. */
  readUrl?: string | undefined;
  host: string;
  /** 0 takes a free one. */
  port: number;
  webDir: string | undefined;
  log: Logger;
  /** Whether the made-up staff of a demo shop sign in with one press. */
  demo: boolean;
  /** Sign-ins that one address may try in a minute; 60 when left out. */
  triesAMinute?: number;
  /** Where backups are made, and how often; left out where somebody else makes them. */
  backups?: Context['backups'];
  /** Where the figures are served for anyone who watches over the server; nowhere when left out. */
  metrics?: { host: string; port: number } | undefined;
  /** Whether this server keeps a worker process of its own; others may work for it, too. */
  worker: boolean;
  /** Proxies whose word on the caller's address is taken; this machine's when left out. */
  trustedProxies?: string[];
  /** Whether programs may be called back at addresses of this network, and without https. */
  callbacksAnywhere?: boolean;
  /** Cars of the demo shop's made-up past; none when left out. */
  yearsCars?: number;
  /** Called once the database is ready and before anything is served, with a connection of the owner. */
  prepare?: (owner: Database, diagnoses: DiagnosisPool) => Promise<void>;
}

const GRACE_MS = 3000;
const TRIES_A_MINUTE = 60;
/** Clients that send slowly hold a connection no longer than this; an archive is the longest to send. */
const TIMEOUTS = {
  headersTimeout: 10_000,
  requestTimeout: 1_800_000,
  keepAliveTimeout: 10_000,
  connectionsCheckingInterval: 5_000,
} as const;
const SILENCE_MS = 60_000;
const MOST_CONNECTIONS = 4_000;

/** Migrates, prepares, connects and listens. */
export async function startServer(options: ServerOptions): Promise<RunningServer> {
  const { log, databaseUrl, ownerUrl = databaseUrl } = options;
  await migrateDatabase(ownerUrl, new URL(databaseUrl).username);
  const metrics = createMetrics();
  const diagnoses = createDiagnosisPool({ onAnswer: metrics.diagnosed });
  if (options.prepare) await prepare(ownerUrl, options.prepare, diagnoses);
  const { pool, db } = connect(databaseUrl);
  pool.on('error', (error) => log.warn({ err: error }, 'idle database connection lost'));
  const workshop = createWorkshop(log);
  const live = createLiveHub(databaseUrl, db, log, findVisit);
  const standby = createStandby(db, options.readUrl, log);
  const queue = createJobQueue(db);
  const callbacksAnywhere = options.callbacksAnywhere ?? false;
  const years = options.yearsCars ? makeYears(ownerUrl, options.yearsCars, log) : null;
  const close = async () => {
    years?.close();
    await live.close();
    await diagnoses.close();
    await workshop.close();
    await standby.close();
    await pool.end();
  };
  try {
    if ((await wallOf(pool)) === 'queriesOnly') {
      log.warn('the app connects as the owner of its tables: row security does not hold');
    }
    const context: Context = {
      pool,
      db,
      databaseUrl,
      standby,
      log,
      diagnoses,
      workshop,
      queue,
      live,
      metrics,
      startedAt: new Date(),
      backups: options.backups ?? null,
      callbacksAnywhere,
      sessionSecret: await sessionSecret(db),
      webDir: options.webDir,
      trustedProxies: options.trustedProxies ?? ['loopback'],
      demo: options.demo,
      years,
      triesAMinute: options.triesAMinute ?? TRIES_A_MINUTE,
    };
    metrics.watch({
      connections: () => ({
        total: pool.totalCount,
        idle: pool.idleCount,
        waiting: pool.waitingCount,
      }),
      diagnoses: () => ({ waiting: diagnoses.waiting(), oldestSeconds: diagnoses.oldestSeconds() }),
      streams: () => live.lines.count(),
      work: () => queue.state(),
    });
    await live.start();
    const sessions = sessionMiddleware(context);
    const http = createServer(TIMEOUTS, createApp(context, sessions));
    http.maxConnections = MOST_CONNECTIONS;
    // Nothing heard or said for this long: the stream's own pulse is well within it.
    http.setTimeout(SILENCE_MS);
    const hangUp = attachDevices(http, context, sessions);
    await listen(http, options.port, options.host);
    const figures = options.metrics && (await serveMetrics(metrics, options.metrics));
    const worker = options.worker
      ? superviseWorker(
          {
            DATABASE_URL: databaseUrl,
            CALLBACKS_ANYWHERE: String(callbacksAnywhere),
            LOG_LEVEL: log.level,
          },
          log,
        )
      : null;
    const address = http.address();
    return {
      context,
      http,
      figures: figures ?? null,
      port: typeof address === 'object' && address ? address.port : options.port,
      async close() {
        hangUp();
        figures?.close();
        await Promise.all([stopListening(http), worker?.close()]);
        await close();
      },
    };
  } catch (error) {
    await close();
    throw error;
  }
}

async function prepare(
  ownerUrl: string,
  work: NonNullable<ServerOptions['prepare']>,
  diagnoses: DiagnosisPool,
): Promise<void> {
  const owner = connect(ownerUrl, { connectMs: PATIENT_CONNECT_MS });
  try {
    await work(owner.db, diagnoses);
  } finally {
    await owner.pool.end();
  }
}

function listen(http: Server, port: number, host: string): Promise<void> {
  return new Promise((resolve, reject) => {
    http.once('error', reject);
    http.listen(port, host, resolve);
  });
}

/** Streams never end by themselves: what is open after a moment is cut. */
async function stopListening(http: Server): Promise<void> {
  const closed = new Promise((resolve) => http.close(resolve));
  const cut = setTimeout(() => http.closeAllConnections(), GRACE_MS);
  http.closeIdleConnections();
  await Promise.race([closed, new Promise((resolve) => setTimeout(resolve, GRACE_MS + 500))]);
  clearTimeout(cut);
}
