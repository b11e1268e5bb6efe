import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';
import type { CaseFile, ValidationIssue } from '@keen/contract';
import type { WholeAnswer } from '@keen/core';
import type { Response } from 'express';
import { AppError, invalid } from '../errors.ts';
import type { Actor } from '../http/signedIn.ts';

export type DiagnosisReply =
  | { id: number; ok: true; answer: WholeAnswer }
  | { id: number; ok: false; refusal: ValidationIssue };

export interface DiagnosisOrder {
  file: CaseFile;
  /** Whose turn it is: people take turns, so that nobody's many cases hold up another's one. */
  personId?: string;
  /** Aborted when whoever asked has hung up: what is not begun is not computed. */
  signal?: AbortSignal;
}

/** Full answers, computed off the main thread. */
export interface DiagnosisPool {
  /**
   * @throws {AppError} 400 when the case cannot be computed, 503 when too many wait, 499 when the asker
   * has hung up
   */
  diagnose(order: DiagnosisOrder): Promise<WholeAnswer>;
  /** How many wait. */
  waiting(): number;
  /** How long the first of them has waited; 0 when none does. */
  oldestSeconds(): number;
  close(): Promise<void>;
}

/** Asks for a person's diagnosis, for as long as that person's connection is open. */
export function diagnoseFor(
  pool: DiagnosisPool,
  { actor, res }: { actor: Actor; res: Response },
): (file: CaseFile) => Promise<WholeAnswer> {
  const hungUp = new AbortController();
  res.once('close', () => hungUp.abort());
  return (file) => pool.diagnose({ file, personId: actor.personId, signal: hungUp.signal });
}

interface Job {
  id: number;
  file: CaseFile;
  personId: string;
  askedAt: number;
  startedAt: number;
  /** Everybody who waits for this answer; one who hangs up is taken out. */
  waiters: number;
  resolve: (answer: WholeAnswer) => void;
  reject: (error: Error) => void;
}

/** Two megabytes each, and asked for again within minutes: for the decision, then for the papers. */
const KEPT_ANSWERS = 50;
/** Whoever would wait longer is asked to come again: a line that is silent for a minute is hung up. */
const LONGEST_WAIT_SECONDS = 30;
/** What an answer takes, until the first were timed. */
const GUESSED_SECONDS = 0.5;
/** How much the newest answer changes the time that is expected of the next. */
const SHARE_OF_NEWEST = 0.2;
const MOST_WAITING_A_PERSON = 20;
const BUSY_SECONDS = 5;

const MS_A_SECOND = 1000;

interface PoolOptions {
  /** How many answers are computed at once. */
  threads?: number;
  /** Starts a worker; tests bring their own. */
  start?: () => Worker;
  /** Told how long an answer was worked on, seconds. */
  onAnswer?: (seconds: number) => void;
}

/**
 * Starts worker threads as they are needed. Answers are remembered by their case: the same case
 * gives the same answer, so the sheet after the decision costs nothing.
 */
export function createDiagnosisPool({
  threads = availableParallelism(),
  start = () => new Worker(new URL('./worker.mjs', import.meta.url)),
  onAnswer = () => undefined,
}: PoolOptions = {}): DiagnosisPool {
  /** Waiting jobs, person by person, in the order in which their turns come. */
  const queues = new Map<string, Job[]>();
  const workers: { worker: Worker; job: Job | null }[] = [];
  const known = new Map<string, { answer: Promise<WholeAnswer>; job: Job | null }>();
  let lastId = 0;
  let secondsEach = GUESSED_SECONDS;
  let isClosed = false;

  const waiting = () => [...queues.values()].reduce((sum, queue) => sum + queue.length, 0);

  /** A busy machine answers more slowly, so that fewer can wait. */
  const mostWaiting = () => Math.floor((LONGEST_WAIT_SECONDS * threads) / secondsEach);

  function took(seconds: number): void {
    secondsEach += SHARE_OF_NEWEST * (seconds - secondsEach);
    onAnswer(seconds);
  }

  function startWorker(): { worker: Worker; job: Job | null } {
    const slot: { worker: Worker; job: Job | null } = { worker: start(), job: null };
    slot.worker.on('message', (reply: DiagnosisReply) => {
      if (slot.job) took((performance.now() - slot.job.startedAt) / MS_A_SECOND);
      if (reply.ok) slot.job?.resolve(reply.answer);
      else slot.job?.reject(invalid([reply.refusal]));
      slot.job = null;
      next();
    });
    const lose = (error: Error) => {
      const at = workers.indexOf(slot);
      if (at >= 0) workers.splice(at, 1);
      slot.job?.reject(error);
      slot.job = null;
      if (!isClosed) next();
    };
    slot.worker.on('error', lose);
    slot.worker.on('exit', () => lose(new Error('a diagnosis thread ended')));
    workers.push(slot);
    return slot;
  }

  /** The next job, of the person whose turn it is; that person then goes to the end of the row. */
  function nextJob(): Job | undefined {
    const [turn] = queues;
    if (!turn) return undefined;
    const [personId, queue] = turn;
    const job = queue.shift();
    queues.delete(personId);
    if (queue.length > 0) queues.set(personId, queue);
    return job;
  }

  function next(): void {
    while (queues.size > 0) {
      const slot =
        workers.find(({ job }) => job === null) ??
        (workers.length < threads ? startWorker() : undefined);
      if (!slot) return;
      const job = nextJob();
      if (!job) return;
      slot.job = job;
      job.startedAt = performance.now();
      slot.worker.postMessage({ id: job.id, file: job.file });
    }
  }

  function enqueue(file: CaseFile, personId: string): { answer: Promise<WholeAnswer>; job: Job } {
    const own = queues.get(personId) ?? [];
    if (waiting() >= mostWaiting() || own.length >= MOST_WAITING_A_PERSON) {
      throw new AppError(503, 'busy', 'busyDiagnoses', {
        retryAfter: BUSY_SECONDS,
      });
    }
    let job!: Job;
    const answer = new Promise<WholeAnswer>((resolve, reject) => {
      job = {
        id: ++lastId,
        file,
        personId,
        askedAt: performance.now(),
        startedAt: 0,
        waiters: 0,
        resolve,
        reject,
      };
    });
    own.push(job);
    queues.set(personId, own);
    return { answer, job };
  }

  /** Takes a job out of its queue when nobody waits for it any more; one that runs goes on. */
  function drop(key: string, job: Job): void {
    const queue = queues.get(job.personId);
    const at = queue?.indexOf(job) ?? -1;
    if (!queue || at < 0) return;
    queue.splice(at, 1);
    if (queue.length === 0) queues.delete(job.personId);
    known.delete(key);
    job.reject(new AppError(499, 'hung_up', 'hungUp'));
  }

  return {
    async diagnose({ file, personId = '', signal }) {
      const key = JSON.stringify({ ...file, visit: undefined });
      let entry = known.get(key);
      if (!entry) {
        const fresh: { answer: Promise<WholeAnswer>; job: Job | null } = enqueue(file, personId);
        entry = fresh;
        known.set(key, fresh);
        fresh.answer.then(
          () => (fresh.job = null),
          () => {
            if (known.get(key) === fresh) known.delete(key);
          },
        );
        const oldest = known.keys().next().value;
        if (known.size > KEPT_ANSWERS && oldest !== undefined) known.delete(oldest);
        next();
      }
      const { answer, job } = entry;
      if (!job || !signal) {
        if (job) job.waiters = Infinity;
        return answer;
      }
      job.waiters++;
      const leave = () => {
        if (--job.waiters === 0) drop(key, job);
      };
      signal.addEventListener('abort', leave, { once: true });
      try {
        return await answer;
      } finally {
        signal.removeEventListener('abort', leave);
      }
    },
    waiting,
    oldestSeconds() {
      const first = Math.min(...[...queues.values()].flat().map(({ askedAt }) => askedAt));
      return Number.isFinite(first) ? (performance.now() - first) / MS_A_SECOND : 0;
    },
    async close() {
      isClosed = true;
      await Promise.all(workers.map(({ worker }) => worker.terminate()));
    },
  };
}
