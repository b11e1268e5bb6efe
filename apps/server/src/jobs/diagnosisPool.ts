import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';
import type { CaseFile, Refusal } from '@keen/contract';
import type { FullAnswer } from '@keen/core';
import { invalid } from '../errors.ts';

export type DiagnosisReply =
  { id: number; ok: true; answer: FullAnswer } | { id: number; ok: false; refusal: Refusal };

/** Full answers, computed off the main thread. */
export interface DiagnosisPool {
  /** @throws {AppError} 400 when the case cannot be computed */
  diagnose(file: CaseFile): Promise<FullAnswer>;
  close(): Promise<void>;
}

interface Job {
  id: number;
  file: CaseFile;
  resolve: (answer: FullAnswer) => void;
  reject: (error: Error) => void;
}

const WORKERS = availableParallelism();
const KEPT_ANSWERS = 200;

/**
 * Starts worker threads as they are needed. Answers are remembered by their case: the same case
 * gives the same answer, so the sheet after the decision costs nothing.
 */
export function createDiagnosisPool(): DiagnosisPool {
  const queue: Job[] = [];
  const workers: { worker: Worker; job: Job | null }[] = [];
  const kept = new Map<string, Promise<FullAnswer>>();
  let lastId = 0;

  function start(): void {
    const slot: { worker: Worker; job: Job | null } = {
      worker: new Worker(new URL('./worker.mjs', import.meta.url)),
      job: null,
    };
    slot.worker.on('message', (reply: DiagnosisReply) => {
      if (reply.ok) slot.job?.resolve(reply.answer);
      else slot.job?.reject(invalid([reply.refusal]));
      slot.job = null;
      next();
    });
    slot.worker.on('error', (error: Error) => {
      slot.job?.reject(error);
      workers.splice(workers.indexOf(slot), 1);
      next();
    });
    workers.push(slot);
  }

  function next(): void {
    if (queue.length === 0) return;
    let slot = workers.find(({ job }) => job === null);
    if (!slot && workers.length < WORKERS) {
      start();
      slot = workers.at(-1);
    }
    const job = slot && queue.shift();
    if (!slot || !job) return;
    slot.job = job;
    slot.worker.postMessage({ id: job.id, file: job.file });
  }

  function compute(file: CaseFile): Promise<FullAnswer> {
    return new Promise((resolve, reject) => {
      queue.push({ id: ++lastId, file, resolve, reject });
      next();
    });
  }

  return {
    diagnose(file) {
      const key = JSON.stringify({ ...file, visit: undefined });
      const known = kept.get(key);
      if (known) return known;
      const answer = compute(file);
      kept.set(key, answer);
      answer.catch(() => kept.delete(key));
      const oldest = kept.keys().next().value;
      if (kept.size > KEPT_ANSWERS && oldest !== undefined) kept.delete(oldest);
      return answer;
    },
    async close() {
      await Promise.all(workers.map(({ worker }) => worker.terminate()));
    },
  };
}
