import PgBoss from 'pg-boss';
import type pg from 'pg';
import { z } from 'zod';
import { QUEUE_SCHEMA } from './appRole.ts';

const shopId = z.uuid();

/** What each kind of work receives. */
export const JOB_DATA = {
  /** Goes on with a run that learns a shop's constants. */
  learning: z.strictObject({ shopId, runId: z.uuid() }),
  learningFailed: z.strictObject({ shopId, runId: z.uuid() }),
  /** Diagnoses some lines of a batch, the last one included. */
  cases: z.strictObject({ shopId, batchId: z.uuid(), from: z.int(), to: z.int() }),
  casesFailed: z.strictObject({ shopId, batchId: z.uuid(), from: z.int(), to: z.int() }),
  /** Tells a program that its batch has ended. */
  callback: z.strictObject({ shopId, batchId: z.uuid() }),
  callbackFailed: z.strictObject({ shopId, batchId: z.uuid() }),
  /** What is done once an hour for all shops. */
  hourly: z.strictObject({}).nullable(),
} as const;
export type JobName = keyof typeof JOB_DATA;
export type JobData<Name extends JobName> = z.infer<(typeof JOB_DATA)[Name]>;

/**
 * How each is tried. A job whose worker died counts as broken off when its time is up, so every piece of
 * work is short; after the last try its data go to the queue of what failed.
 */
const OPTIONS: Record<JobName, Omit<PgBoss.Queue, 'name'>> = {
  learningFailed: { retryLimit: 5, retryDelay: 5, expireInSeconds: 60 },
  casesFailed: { retryLimit: 5, retryDelay: 5, expireInSeconds: 60 },
  callbackFailed: { retryLimit: 5, retryDelay: 5, expireInSeconds: 60 },
  // One waits at a time, whoever asked for it.
  learning: {
    policy: 'short',
    retryLimit: 3,
    retryDelay: 5,
    expireInSeconds: 300,
    deadLetter: 'learningFailed',
  },
  // Five cases, on a slow and busy machine.
  cases: { retryLimit: 3, retryDelay: 1, expireInSeconds: 60, deadLetter: 'casesFailed' },
  // Some two hours in all: a program that is being updated is back by then.
  callback: {
    retryLimit: 7,
    retryDelay: 30,
    retryBackoff: true,
    expireInSeconds: 60,
    deadLetter: 'callbackFailed',
  },
  hourly: { policy: 'short', retryLimit: 1, expireInSeconds: 1_800 },
};

/** How often work is looked for whose worker died. */
const MAINTAIN_SECONDS = 15;
const DAY_SECONDS = 86_400;
const DELETE_DAYS = 14;

/** The queue's own, by which it hands out what is due. */
const TIMEKEEPER = '__pgboss__send-it';

/** The queue on a connection of ours, without doing any work by itself. */
export function queueOn(db: PgBoss.Db): PgBoss {
  return new PgBoss({ db, schema: QUEUE_SCHEMA, supervise: false, schedule: false });
}

/** The same for a worker, which also looks after what broke off and what is due. */
export function workOn(db: PgBoss.Db): PgBoss {
  return new PgBoss({
    db,
    schema: QUEUE_SCHEMA,
    migrate: false,
    maintenanceIntervalSeconds: MAINTAIN_SECONDS,
    archiveCompletedAfterSeconds: DAY_SECONDS,
    deleteAfterDays: DELETE_DAYS,
  });
}

/** Brings the queue's tables to this version; runs as the owner, one process at a time. */
export async function setUpQueues(owner: pg.ClientBase): Promise<void> {
  const boss = queueOn({
    executeSql: (text, values) => owner.query<Record<string, unknown>>(text, values),
  });
  await boss.start();
  for (const [name, options] of Object.entries(OPTIONS)) {
    await boss.createQueue(name, { name, ...options });
    // One that is there already keeps what it was made with.
    await boss.updateQueue(name, { name, ...options });
  }
  await boss.createQueue(TIMEKEEPER);
  await boss.stop({ graceful: false });
}
