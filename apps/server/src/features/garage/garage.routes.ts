import {
  garageQuerySchema,
  listQuerySchema,
  newCarMergeSchema,
  newCustomerMergeSchema,
} from '@keen/contract';
import type { Routes } from '../../http/routes.ts';
import { validBody, validId, validQuery } from '../../http/validate.ts';
import { carDetail, garagePage } from './readGarage.ts';
import { mergeCars, undoMerge } from './mergeCars.ts';
import { mergeCustomers, undoCustomerMerge } from './mergeCustomers.ts';
import { customerDetail, customerPage } from './readCustomers.ts';
import { storedPage } from './readStored.ts';

/** The shop's cars and their lives. */
export function mountGarage(routes: Routes): void {
  routes.on('get', '/garage', 'read', async ({ req, res, actor, readStandby }) => {
    const query = validQuery(garageQuerySchema, req);
    res.json(await readStandby((tx) => garagePage(tx, actor, query)));
  });
  routes.on('get', '/garage/:id', 'read', async ({ req, res, actor, readInShop }) => {
    const id = validId(req.params.id, 'noCar');
    res.json(await readInShop((tx) => carDetail(tx, actor, id)));
  });
  routes.on('post', '/garage/:id/merges', 'changeCars', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const order = validBody(newCarMergeSchema, req.body);
    const id = validId(req.params.id, 'noCar');
    res.json(
      await inShop(async (tx) => {
        await mergeCars(tx, actor, id, order);
        return carDetail(tx, actor, id);
      }),
    );
  });
  routes.on('delete', '/garage/:id/merges/:mergeId', 'changeCars', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const id = validId(req.params.id, 'noCar');
    const mergeId = validId(req.params.mergeId, 'noMerge');
    res.json(
      await inShop(async (tx) => {
        await undoMerge(tx, actor, id, mergeId);
        return carDetail(tx, actor, id);
      }),
    );
  });
  routes.on('get', '/customers', 'read', async ({ req, res, actor, readStandby }) => {
    const query = validQuery(listQuerySchema, req);
    res.json(await readStandby((tx) => customerPage(tx, actor, query)));
  });
  routes.on('get', '/garage/:id/customer', 'read', async ({ req, res, actor, readInShop }) => {
    const id = validId(req.params.id, 'noCar');
    res.json(await readInShop((tx) => customerDetail(tx, actor, id)));
  });
  routes.on('post', '/garage/:id/customer/merges', 'changeCars', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const order = validBody(newCustomerMergeSchema, req.body);
    const id = validId(req.params.id, 'noCar');
    res.json(
      await inShop(async (tx) => {
        await mergeCustomers(tx, actor, id, order);
        return customerDetail(tx, actor, id);
      }),
    );
  });
  routes.on('delete', '/garage/:id/customer/merges/:mergeId', 'changeCars', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const id = validId(req.params.id, 'noCar');
    const mergeId = validId(req.params.mergeId, 'noMerge');
    res.json(
      await inShop(async (tx) => {
        await undoCustomerMerge(tx, actor, mergeId);
        return customerDetail(tx, actor, id);
      }),
    );
  });
  routes.on('get', '/stored-tires', 'read', async ({ req, res, actor, readStandby }) => {
    const query = validQuery(listQuerySchema, req);
    res.json(await readStandby((tx) => storedPage(tx, actor, query)));
  });
}
