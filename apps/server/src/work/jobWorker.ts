import { constants, setPriority } from 'node:os';
import { pino } from 'pino';
import { z } from 'zod';
import { waitForDatabase } from '../db/waitForDatabase.ts';
import { safeSerializers } from '../http/logging.ts';
import { startWorker } from './startWorker.ts';

const configSchema = z.object({
  DATABASE_URL: z.url({ protocol: /^postgres(ql)?$/ }),
  DATABASE_WAIT_SECONDS: z.coerce.number().min(0).max(600).default(60),
  LOG_LEVEL: z.enum(['fatal', 'error', 'warn', 'info', 'debug', 'silent']).default('info'),
  CALLBACKS_ANYWHERE: z.stringbool().default(false),
});

/** A worker process: beside a server, or by itself on any machine that reaches the database. */
async function main(): Promise<void> {
  // People who wait come first; the threads have the same priority.
  setPriority(constants.priority.PRIORITY_LOW);
  const config = configSchema.parse(process.env);
  const log = pino({ level: config.LOG_LEVEL, serializers: safeSerializers });
  await waitForDatabase(config.DATABASE_URL, config.DATABASE_WAIT_SECONDS * 1000);
  const worker = await startWorker({
    databaseUrl: config.DATABASE_URL,
    callbacksAnywhere: config.CALLBACKS_ANYWHERE,
    log,
  });
  log.info('working');
  const stop = () => {
    worker.close().then(
      () => process.exit(0),
      () => process.exit(1),
    );
  };
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
  // The server that keeps it has gone.
  process.on('disconnect', stop);
  // As when the database goes away in the middle: whoever keeps this process restarts it.
  process.on('unhandledRejection', (error) => {
    log.error({ err: error }, 'worker broke off');
    process.exit(1);
  });
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
});
