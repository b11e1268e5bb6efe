import type { Batch, BatchResults } from '@keen/contract';
import { and, asc, desc, eq, gt, isNotNull } from 'drizzle-orm';
import type { InferSelectModel } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { apiKeys, batchCases, batches } from '../../db/schema/index.ts';
import { notFound } from '../../errors.ts';

const MOST_LISTED = 20;

/** The latest batches of the shop, latest first. */
export async function latestBatches(tx: Handle, shopId: string): Promise<Batch[]> {
  const rows = await selectBatches(tx)
    .where(eq(batches.shopId, shopId))
    .orderBy(desc(batches.createdAt))
    .limit(MOST_LISTED);
  return rows.map(batchRecord);
}

/** @throws {AppError} 404 when the shop has none of this id */
export async function oneBatch(tx: Handle, shopId: string, id: string): Promise<Batch> {
  const batch = await findBatch(tx, shopId, id);
  if (!batch) throw notFound('noBatch');
  return batch;
}

export async function findBatch(tx: Handle, shopId: string, id: string): Promise<Batch | null> {
  const [row] = await selectBatches(tx).where(and(eq(batches.shopId, shopId), eq(batches.id, id)));
  return row ? batchRecord(row) : null;
}

/** Lines after one, in their order. @throws {AppError} 404 when there is no such batch */
export async function batchResults(
  tx: Handle,
  shopId: string,
  id: string,
  { after, limit }: { after: number; limit: number },
): Promise<BatchResults> {
  await oneBatch(tx, shopId, id);
  const rows = await tx
    .select({
      line: batchCases.line,
      answer: batchCases.answer,
      error: batchCases.refusal,
    })
    .from(batchCases)
    .where(
      and(eq(batchCases.shopId, shopId), eq(batchCases.batchId, id), gt(batchCases.line, after)),
    )
    .orderBy(asc(batchCases.line))
    .limit(limit + 1);
  const results = rows.slice(0, limit);
  return { results, next: rows.length > limit ? results.at(-1)!.line : null };
}

/**
 * Stops a batch that runs; cases at hand are finished and not counted, those that wait are forgotten.
 * @throws {AppError} 404 when there is none
 */
export async function cancelBatch(tx: Handle, shopId: string, id: string): Promise<Batch> {
  await tx
    .update(batches)
    .set({ state: 'canceled', endedAt: new Date(), callbackState: null })
    .where(and(eq(batches.shopId, shopId), eq(batches.id, id), eq(batches.state, 'running')));
  const batch = await oneBatch(tx, shopId, id);
  if (batch.state === 'canceled') {
    await tx
      .update(batchCases)
      .set({ file: null })
      .where(
        and(eq(batchCases.shopId, shopId), eq(batchCases.batchId, id), isNotNull(batchCases.file)),
      );
  }
  return batch;
}

/** Forgets a batch with its answers. @throws {AppError} 404 when there is none */
export async function forgetBatch(tx: Handle, shopId: string, id: string): Promise<void> {
  const gone = await tx
    .delete(batches)
    .where(and(eq(batches.shopId, shopId), eq(batches.id, id)))
    .returning({ id: batches.id });
  if (gone.length === 0) throw notFound('noBatch');
}

function selectBatches(tx: Handle) {
  return tx
    .select({ batch: batches, key: apiKeys.name })
    .from(batches)
    .innerJoin(apiKeys, eq(apiKeys.id, batches.keyId));
}

function batchRecord({
  batch,
  key,
}: {
  batch: InferSelectModel<typeof batches>;
  key: string;
}): Batch {
  const { id, name, state, cases, done, refused, callbackUrl, callbackState } = batch;
  return {
    id,
    name,
    key,
    state,
    cases,
    done,
    refused,
    createdAt: batch.createdAt.toISOString(),
    endedAt: batch.endedAt?.toISOString() ?? null,
    callback:
      callbackUrl !== null && callbackState !== null
        ? { url: callbackUrl, state: callbackState, status: batch.callbackStatus }
        : null,
  };
}
