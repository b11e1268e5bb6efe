import { garageQuerySchema, newCarMergeSchema } from '@keen/contract';
import type { Routes } from '../../http/routes.ts';
import { validBody, validId, validQuery } from '../../http/validate.ts';
import { carDetail, garagePage } from './readGarage.ts';
import { mergeCars, undoMerge } from './mergeCars.ts';

/** The shop's cars and their lives. */
export function mountGarage(routes: Routes): void {
  routes.on('get', '/garage', 'read', async ({ req, res, actor, look }) => {
    const query = validQuery(garageQuerySchema, req);
    res.json(await look((tx) => garagePage(tx, actor, query)));
  });
  routes.on('get', '/garage/:id', 'read', async ({ req, res, actor, look }) => {
    const id = validId(req.params.id, 'car');
    res.json(await look((tx) => carDetail(tx, actor, id)));
  });
  routes.on('post', '/garage/:id/merges', 'changeCars', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const order = validBody(newCarMergeSchema, req.body);
    const id = validId(req.params.id, 'car');
    res.json(
      await inShop(async (tx) => {
        await mergeCars(tx, actor, id, order);
        return carDetail(tx, actor, id);
      }),
    );
  });
  routes.on('delete', '/garage/:id/merges/:mergeId', 'changeCars', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const id = validId(req.params.id, 'car');
    const mergeId = validId(req.params.mergeId, 'merge');
    res.json(
      await inShop(async (tx) => {
        await undoMerge(tx, actor, id, mergeId);
        return carDetail(tx, actor, id);
      }),
    );
  });
}
