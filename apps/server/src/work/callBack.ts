import { request as requestHttp } from 'node:http';
import { request as requestHttps } from 'node:https';
import type { BatchCallback } from '@keen/contract';
import { and, eq } from 'drizzle-orm';
import { useAgent as filteringAgent } from 'request-filtering-agent';
import { Webhook } from 'standardwebhooks';
import { inShop } from '../db/client.ts';
import { apiKeys, batches } from '../db/schema/index.ts';
import type { JobData } from '../db/queues.ts';
import type { WorkContext } from './workContext.ts';

const ANSWER_MS = 10_000;

/**
 * Tells a program that its batch has ended: a request signed as Standard Webhooks 1.0 says. An address within
 * this network is refused unless the installation allows it, and no redirect is followed.
 * @throws when it was not taken; the queue then tries again
 */
export async function callBack(
  { db, callbacksAnywhere }: WorkContext,
  { shopId, batchId }: JobData<'callback'>,
): Promise<void> {
  const own = and(eq(batches.shopId, shopId), eq(batches.id, batchId));
  const found = await inShop(db, shopId, async (tx) => {
    const [row] = await tx
      .select({
        batch: batches,
        signingSecret: apiKeys.signingSecret,
        revokedAt: apiKeys.revokedAt,
      })
      .from(batches)
      .innerJoin(apiKeys, eq(apiKeys.id, batches.keyId))
      .where(own);
    return row;
  });
  // Forgotten meanwhile, told already, or its key was taken back.
  if (!found?.batch.callbackUrl || !found.batch.endedAt) return;
  if (found.batch.callbackState !== 'waiting' || found.revokedAt) return;
  const { callbackUrl, endedAt, cases, refused } = found.batch;
  const body = JSON.stringify({
    type: 'batch.ended',
    timestamp: endedAt.toISOString(),
    data: { id: batchId, cases, refused },
  } satisfies BatchCallback);
  const at = new Date();
  const status = await post(callbackUrl, body, callbacksAnywhere, {
    'content-type': 'application/json',
    // The same at each try, by which the program knows one that it has taken.
    'webhook-id': batchId,
    'webhook-timestamp': String(Math.floor(at.getTime() / 1000)),
    'webhook-signature': new Webhook(found.signingSecret).sign(batchId, at, body),
  });
  const isTaken = status >= 200 && status < 300;
  await inShop(db, shopId, (tx) =>
    tx
      .update(batches)
      .set({ callbackStatus: status, ...(isTaken ? { callbackState: 'delivered' as const } : {}) })
      .where(own),
  );
  if (!isTaken) throw new Error(`called back, answered ${status}`);
}

/** After the last try. */
export async function noteFailedCallback(
  { db }: WorkContext,
  { shopId, batchId }: JobData<'callbackFailed'>,
): Promise<void> {
  await inShop(db, shopId, (tx) =>
    tx
      .update(batches)
      .set({ callbackState: 'failed' })
      .where(
        and(
          eq(batches.shopId, shopId),
          eq(batches.id, batchId),
          eq(batches.callbackState, 'waiting'),
        ),
      ),
  );
}

/** @returns the status of the answer, whose body nobody reads */
function post(
  url: string,
  body: string,
  isAnywhere: boolean,
  headers: Record<string, string>,
): Promise<number> {
  const request = new URL(url).protocol === 'https:' ? requestHttps : requestHttp;
  return new Promise((resolve, reject) => {
    const asked = request(
      url,
      {
        method: 'POST',
        headers: { ...headers, 'content-length': String(Buffer.byteLength(body)) },
        agent: filteringAgent(url, {
          allowPrivateIPAddress: isAnywhere,
          allowMetaIPAddress: isAnywhere,
        }),
        signal: AbortSignal.timeout(ANSWER_MS),
      },
      (answer) => {
        resolve(answer.statusCode ?? 0);
        answer.destroy();
      },
    );
    asked.once('error', reject);
    asked.end(body);
  });
}
