import pg from 'pg';
import type { Logger } from 'pino';
import { connect } from '../db/client.ts';
import { createDiagnosisPool } from '../jobs/diagnosisPool.ts';
import { createJobQueue, WORKER_NAME } from '../db/jobQueue.ts';
import { JOB_DATA, workOn } from '../db/queues.ts';
import type { JobData, JobName } from '../db/queues.ts';
import { answerCases, giveUpCase } from './answerCases.ts';
import { callBack, noteFailedCallback } from './callBack.ts';
import { goOnLearning, noteFailedRun, resumeRuns } from './goOnLearning.ts';
import { hourlyWork } from './hourlyWork.ts';
import type { WorkContext } from './workContext.ts';

export interface WorkerOptions {
  /** Of the app's role. */
  databaseUrl: string;
  /** Whether programs may be called back at addresses of this network, and without https. */
  callbacksAnywhere: boolean;
  log: Logger;
}

/** Once an hour, at no round minute. */
const HOURLY = '17 * * * *';
const POLL_SECONDS = 0.5;
/** Time for the case at hand. */
const GRACE_MS = 3_000;

type Handlers = { [Name in JobName]: (data: JobData<Name>) => Promise<void> };

/** Does what is on the queue, beside any number of others, until it is closed. */
export async function startWorker(options: WorkerOptions): Promise<{ close(): Promise<void> }> {
  const { databaseUrl, log } = options;
  const { pool, db } = connect(databaseUrl);
  pool.on('error', (error) => log.warn({ err: error }, 'idle database connection lost'));
  const boss = workOn({
    executeSql: (text, values) => pool.query<Record<string, unknown>>(text, values),
  });
  boss.on('error', (error) => log.warn({ err: error }, 'queue failed'));
  const diagnoses = createDiagnosisPool();
  const stopping = new AbortController();
  const work: WorkContext = {
    db,
    pool,
    log,
    diagnoses,
    queue: createJobQueue(db),
    callbacksAnywhere: options.callbacksAnywhere,
    stopping: stopping.signal,
  };
  const presence = await bePresent(databaseUrl);
  // As when the database restarts: whoever keeps this process restarts it.
  presence.on('end', () => {
    if (!stopping.signal.aborted) process.exit(1);
  });

  const handlers: Handlers = {
    learning: (data) => goOnLearning(work, data),
    learningFailed: (data) => noteFailedRun(work, data),
    cases: (data) => answerCases(work, data),
    casesFailed: (data) => giveUpCase(work, data),
    callback: (data) => callBack(work, data),
    callbackFailed: (data) => noteFailedCallback(work, data),
    hourly: () => hourlyWork(work),
  };
  await boss.start();
  await boss.schedule('hourly', HOURLY, {});
  await resumeRuns(work);
  for (const name of Object.keys(handlers) as JobName[]) {
    await boss.work(name, { pollingIntervalSeconds: POLL_SECONDS, batchSize: 1 }, async ([job]) => {
      const data = JOB_DATA[name].parse(job!.data);
      try {
        await (handlers[name] as (data: unknown) => Promise<void>)(data);
      } catch (error) {
        log.error({ err: error, job: name, ...data }, 'work broke off');
        throw error;
      }
    });
  }
  return {
    async close() {
      stopping.abort();
      await boss.stop({ graceful: true, timeout: GRACE_MS });
      await diagnoses.close();
      await presence.end();
      await pool.end();
    },
  };
}

/** A connection by which everybody sees that this worker is there. */
async function bePresent(databaseUrl: string): Promise<pg.Client> {
  const client = new pg.Client({
    connectionString: databaseUrl,
    application_name: WORKER_NAME,
    keepAlive: true,
  });
  client.on('error', () => undefined);
  await client.connect();
  return client;
}
