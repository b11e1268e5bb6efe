import { availableParallelism } from 'node:os';
import type { CaseFile, Diagnosis, ValidationIssue } from '@keen/contract';
import { validationIssue } from '@keen/contract';
import { adviseAtPrices } from '@keen/core';
import { and, asc, between, eq, isNotNull, sql } from 'drizzle-orm';
import { inShop } from '../db/client.ts';
import type { Handle } from '../db/client.ts';
import { batchCases, batches } from '../db/schema/index.ts';
import { AppError } from '../errors.ts';
import type { DiagnosisPool } from '../jobs/diagnosisPool.ts';
import type { JobQueue } from '../db/jobQueue.ts';
import type { JobData } from '../db/queues.ts';
import type { WorkContext } from './workContext.ts';

type Outcome = { answer: Diagnosis } | { refusal: ValidationIssue };
type Lines = JobData<'cases'>;

/** One case a thread. */
const LANES = availableParallelism();
const GIVEN_UP = validationIssue('', 'workableCase');

/** Diagnoses the lines of a batch that have no answer yet; what has one is not worked out again. */
export async function answerCases(work: WorkContext, lines: Lines): Promise<void> {
  const { db, diagnoses, queue, stopping } = work;
  const { shopId } = lines;
  const waiting = await inShop(db, shopId, (tx) => waitingLines(tx, lines));
  let isCanceled = false;
  async function lane(): Promise<void> {
    for (;;) {
      const next = stopping.aborted || isCanceled ? undefined : waiting.shift();
      if (!next) return;
      const outcome = await outcomeOf(diagnoses, next.file);
      const state = await inShop(db, shopId, (tx) => keep(tx, queue, lines, next.line, outcome));
      isCanceled ||= state === 'canceled';
    }
  }
  await Promise.all(Array.from({ length: LANES }, lane));
  if (waiting.length > 0 && !isCanceled) {
    await inShop(db, shopId, (tx) => queue.send(tx, 'cases', lines));
  }
}

/** A case at which workers broke off again and again says so; the others of its lines go on. */
export async function giveUpCase({ db, queue }: WorkContext, lines: Lines): Promise<void> {
  await inShop(db, lines.shopId, async (tx) => {
    const [first, ...rest] = await waitingLines(tx, lines);
    if (!first) return;
    await keep(tx, queue, lines, first.line, { refusal: GIVEN_UP });
    if (rest.length > 0) await queue.send(tx, 'cases', lines);
  });
}

async function waitingLines(
  tx: Handle,
  { shopId, batchId, from, to }: Lines,
): Promise<{ line: number; file: CaseFile }[]> {
  const rows = await tx
    .select({ line: batchCases.line, file: batchCases.file })
    .from(batchCases)
    .innerJoin(batches, eq(batches.id, batchCases.batchId))
    .where(
      and(
        eq(batchCases.shopId, shopId),
        eq(batchCases.batchId, batchId),
        between(batchCases.line, from, to),
        isNotNull(batchCases.file),
        eq(batches.state, 'running'),
      ),
    )
    .orderBy(asc(batchCases.line));
  return rows.map(({ line, file }) => ({ line, file: file! }));
}

/** The answer that the headless command gives: advised at the case's own prices where it brings some. */
async function outcomeOf(diagnoses: DiagnosisPool, file: CaseFile): Promise<Outcome> {
  try {
    const whole = await diagnoses.diagnose({ file });
    return { answer: file.prices ? adviseAtPrices(whole, file.prices) : whole.diagnosis };
  } catch (error) {
    if (error instanceof AppError && error.status === 400 && error.refusals[0]) {
      return { refusal: error.refusals[0] };
    }
    throw error;
  }
}

/** Saves what became of a line, once; the last one ends the batch. */
async function keep(
  tx: Handle,
  queue: JobQueue,
  { shopId, batchId }: Lines,
  line: number,
  outcome: Outcome,
): Promise<'running' | 'done' | 'canceled'> {
  const own = and(eq(batches.shopId, shopId), eq(batches.id, batchId));
  const [kept] = await tx
    .update(batchCases)
    .set({ file: null, ...outcome })
    .where(
      and(
        eq(batchCases.shopId, shopId),
        eq(batchCases.batchId, batchId),
        eq(batchCases.line, line),
        isNotNull(batchCases.file),
      ),
    )
    .returning({ line: batchCases.line });
  // Another worker was faster.
  if (!kept) return 'running';
  const refused = 'refusal' in outcome ? 1 : 0;
  const [batch] = await tx
    .update(batches)
    .set({
      done: sql`${batches.done} + 1`,
      refused: sql`${batches.refused} + ${refused}`,
    })
    .where(and(own, eq(batches.state, 'running')))
    .returning({ done: batches.done, cases: batches.cases });
  if (!batch) return 'canceled';
  if (batch.done < batch.cases) return 'running';
  await endBatch(tx, queue, shopId, batchId);
  return 'done';
}

/** Ends a batch that has all its answers, and sends word to whoever wants it. */
export async function endBatch(
  tx: Handle,
  queue: JobQueue,
  shopId: string,
  batchId: string,
): Promise<void> {
  const [ended] = await tx
    .update(batches)
    .set({ state: 'done', endedAt: new Date() })
    .where(and(eq(batches.shopId, shopId), eq(batches.id, batchId), eq(batches.state, 'running')))
    .returning({ callbackUrl: batches.callbackUrl });
  if (ended?.callbackUrl) await queue.send(tx, 'callback', { shopId, batchId });
}
