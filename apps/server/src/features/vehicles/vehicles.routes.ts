import { changeVehicleSchema } from '@keen/contract';
import type { Routes } from '../../http/routes.ts';
import { queryText, validBody, validId } from '../../http/validate.ts';
import { changeVehicle, findVehicles, tireLines } from './vehicles.service.ts';

const MOST_LETTERS = 60;

export function mountVehicles(routes: Routes): void {
  routes.on('get', '/vehicles', 'read', async ({ req, res, actor, readInShop }) => {
    const words = queryText(req.query.q, 'q').trim().slice(0, MOST_LETTERS);
    res.json(await readInShop((tx) => findVehicles(tx, actor, words)));
  });
  routes.on('put', '/vehicles/:id', 'changeCars', async ({ req, res, actor, inShop }) => {
    const change = validBody(changeVehicleSchema, req.body);
    const id = validId(req.params.id, 'noCar');
    res.json(await inShop((tx) => changeVehicle(tx, actor, id, change)));
  });
  routes.on('get', '/tire-lines', 'read', async ({ res, actor, readInShop }) => {
    res.json(await readInShop((tx) => tireLines(tx, actor)));
  });
}
