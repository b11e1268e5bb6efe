import { YEARS_CARS } from '@keen/demo';
import { pino } from 'pino';
import type { Logger } from 'pino';
import { readConfig } from './config.ts';
import { waitForDatabase } from './db/waitForDatabase.ts';
import { startServer } from './createServer.ts';
import { safeSerializers } from './http/logging.ts';
import { loadDemo } from './demo/loadDemo.ts';
import { removeDemo } from './demo/removeDemo.ts';

const DEMO = process.argv.includes('--demo');
const FRESH_DEMO = process.argv.includes('--fresh-demo');
/** With two made-up years of visits, made while the shop is open. */
const YEARS = process.argv.includes('--years') ? YEARS_CARS : 0;

/** Tells the starter how far it is; a line a step on the channel it opened, if it did. */
function tell(message: object): void {
  process.send?.(message);
}

async function main(): Promise<void> {
  const config = readConfig(process.env);
  const log: Logger = pino({ level: config.LOG_LEVEL, serializers: safeSerializers });
  await waitForDatabase(
    config.DATABASE_OWNER_URL ?? config.DATABASE_URL,
    config.DATABASE_WAIT_SECONDS * 1000,
  );
  const server = await startServer({
    databaseUrl: config.DATABASE_URL,
    ownerUrl: config.DATABASE_OWNER_URL,
    readUrl: config.DATABASE_READ_URL,
    host: config.HOST,
    port: config.PORT,
    webDir: config.WEB_DIR,
    log,
    demo: DEMO || FRESH_DEMO,
    yearsCars: YEARS,
    worker: config.WORKER,
    trustedProxies: config.TRUSTED_PROXIES.split(',').map((one) => one.trim()),
    callbacksAnywhere: config.CALLBACKS_ANYWHERE,
    backups: config.BACKUP_DIR
      ? { dir: config.BACKUP_DIR, everyHours: config.BACKUP_EVERY_HOURS }
      : null,
    metrics: config.METRICS_PORT
      ? { host: config.METRICS_HOST, port: config.METRICS_PORT }
      : undefined,
    async prepare(db, diagnoses) {
      if (FRESH_DEMO) await removeDemo(db);
      if (DEMO || FRESH_DEMO) {
        await loadDemo(db, diagnoses, (text) => tell({ progress: text }), YEARS);
      }
    },
  });
  tell({ ready: server.port });
  log.info({ port: server.port }, 'listening');
  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    log.info('stopping');
    server.close().then(
      () => process.exit(0),
      (error: unknown) => {
        log.error({ err: error }, 'stop failed');
        process.exit(1);
      },
    );
  };
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
  process.on('disconnect', stop);
}

main().catch((error: unknown) => {
  const text = error instanceof Error ? error.message : String(error);
  tell({ failed: text, code: error instanceof Error && 'code' in error ? error.code : null });
  process.stderr.write(`${text}\n`);
  process.exit(1);
});
