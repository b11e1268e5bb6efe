import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  BATCH_LIMITS,
  batchResultsQuerySchema,
  newApiKeySchema,
  newBatchQuerySchema,
  validationIssue,
} from '@keen/contract';
import type { Request } from 'express';
import type { Context } from '../../context.ts';
import { AppError, invalid } from '../../errors.ts';
import type { ProgramRoutes } from '../../http/programRoutes.ts';
import { receive } from '../../http/receive.ts';
import type { Routes } from '../../http/routes.ts';
import { validBody, validId, validQuery } from '../../http/validate.ts';
import {
  batchResults,
  cancelBatch,
  forgetBatch,
  latestBatches,
  oneBatch,
} from './batches.service.ts';
import { changeSecret, keysOf, makeKey, revokeKey } from './keys.service.ts';
import { postBatch } from './postBatch.ts';

/** The lead gives other programs keys, and sees what they have diagnosed. */
export function mountKeys(routes: Routes): void {
  routes.on('get', '/keys', 'manageKeys', async ({ res, actor, readInShop }) => {
    res.json(await readInShop((tx) => keysOf(tx, actor.shopId)));
  });
  routes.on('post', '/keys', 'manageKeys', async ({ req, res, actor, inShop }) => {
    const order = validBody(newApiKeySchema, req.body);
    res.json(await inShop((tx) => makeKey(tx, actor, order, req.ip)));
  });
  routes.on('post', '/keys/:id/secret', 'manageKeys', async ({ req, res, actor, inShop }) => {
    const id = validId(req.params.id, 'noKey');
    res.json(await inShop((tx) => changeSecret(tx, actor, id, req.ip)));
  });
  routes.on('delete', '/keys/:id', 'manageKeys', async ({ req, res, actor, inShop }) => {
    const id = validId(req.params.id, 'noKey');
    await inShop((tx) => revokeKey(tx, actor, id, req.ip));
    res.status(204).end();
  });
  routes.on('get', '/batches', 'manageKeys', async ({ res, actor, readInShop }) => {
    res.json(await readInShop((tx) => latestBatches(tx, actor.shopId)));
  });
  routes.on('put', '/batches/:id/canceled', 'manageKeys', async ({ req, res, actor, inShop }) => {
    const id = validId(req.params.id, 'noBatch');
    res.json(await inShop((tx) => cancelBatch(tx, actor.shopId, id)));
  });
}

/** Programs have many cases diagnosed. */
export function mountBatches(
  routes: ProgramRoutes,
  { queue, callbacksAnywhere }: Pick<Context, 'queue' | 'callbacksAnywhere'>,
): void {
  routes.on('post', '/v1/batches', 'diagnose', async ({ req, res, program, inShop }) => {
    const query = validQuery(newBatchQuerySchema, req);
    refuseOtherBody(req);
    if (query.callback && !callbacksAnywhere && !query.callback.startsWith('https:')) {
      throw invalid([validationIssue('callback', 'httpsAddress')]);
    }
    const folder = await mkdtemp(join(tmpdir(), 'keen-batch-'));
    try {
      const file = join(folder, 'cases.ndjson');
      await receive(req, file, BATCH_LIMITS.bytes, 'bodyTooLarge');
      res.json(await postBatch(inShop, queue, { program, query, file, address: req.ip }));
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  });
  routes.on('get', '/v1/batches/:id', 'diagnose', async ({ req, res, program, readInShop }) => {
    const id = validId(req.params.id, 'noBatch');
    res.json(await readInShop((tx) => oneBatch(tx, program.shopId, id)));
  });
  routes.on(
    'get',
    '/v1/batches/:id/results',
    'diagnose',
    async ({ req, res, program, readInShop }) => {
      const id = validId(req.params.id, 'noBatch');
      const page = validQuery(batchResultsQuerySchema, req);
      res.json(await readInShop((tx) => batchResults(tx, program.shopId, id, page)));
    },
  );
  routes.on('delete', '/v1/batches/:id', 'diagnose', async ({ req, res, program, inShop }) => {
    const id = validId(req.params.id, 'noBatch');
    await inShop((tx) => forgetBatch(tx, program.shopId, id));
    res.status(204).end();
  });
}

/** @throws {AppError} 415 for a body that is packed or of another kind */
function refuseOtherBody(req: Request): void {
  if ((req.get('content-encoding') ?? 'identity') !== 'identity') {
    throw new AppError(415, 'unknown_encoding', 'unknownEncoding');
  }
  if (!req.is(['application/x-ndjson', 'application/ndjson', 'application/jsonl'])) {
    throw new AppError(415, 'unknown_type', 'notNdjson');
  }
}
