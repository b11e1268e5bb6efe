import {
  chainLeadSchema,
  changeChainSchema,
  giveSheetSchema,
  insightQuerySchema,
  newChainSchema,
  newShopSchema,
  receiveCarSchema,
} from '@keen/contract';
import type { Routes } from '../../http/routes.ts';
import { validBody, validId, validQuery } from '../../http/validate.ts';
import { codesOf, makeCode } from './carCodes.ts';
import { chainFigures, oneChain, setChainLead } from './chain.service.ts';
import { giveSheet, makeChain, openShop, settle } from './changeChain.ts';
import { receiveCar } from './receiveCar.ts';

/**
 * Several shops of one house. Who leads the chain is asked of the database with each of these, whatever role
 * they have in the shop at hand.
 */
export function mountChain(routes: Routes): void {
  mountCarCodes(routes);
  routes.on('post', '/chain', 'changeShop', async ({ req, res, actor, inShop }) => {
    const { name } = validBody(newChainSchema, req.body);
    res.json(await inShop((tx) => makeChain(tx, actor, name, req.ip)));
  });
  routes.on('get', '/chain', 'read', async ({ res, actor, readInShop }) => {
    res.json(await readInShop((tx) => oneChain(tx, actor)));
  });
  routes.on('put', '/chain', 'read', async ({ req, res, actor, inShop }) => {
    const change = validBody(changeChainSchema, req.body);
    res.json(await inShop((tx) => settle(tx, actor, change)));
  });
  routes.on('post', '/chain/shops', 'read', async ({ req, res, actor, inShop }) => {
    const order = validBody(newShopSchema, req.body);
    res.json(await inShop((tx) => openShop(tx, actor, order, req.ip)));
  });
  routes.on('post', '/chain/sheets', 'read', async ({ req, res, actor, inShop }) => {
    const { sheetId } = validBody(giveSheetSchema, req.body);
    await inShop((tx) => giveSheet(tx, actor, sheetId));
    res.status(204).end();
  });
  routes.on('put', '/chain/leads', 'read', async ({ req, res, actor, inShop }) => {
    const order = validBody(chainLeadSchema, req.body);
    res.json(await inShop((tx) => setChainLead(tx, actor, order)));
  });
  routes.on('get', '/chain/figures', 'read', async ({ req, res, actor, readStandby }) => {
    const query = validQuery(insightQuerySchema, req);
    res.json(await readStandby((tx) => chainFigures(tx, actor, query)));
  });
}

/** Cars that go from one shop of a chain to another, by a code that the customer has. */
function mountCarCodes(routes: Routes): void {
  routes.on('get', '/vehicles/:id/codes', 'changeCars', async ({ req, res, actor, readInShop }) => {
    const id = validId(req.params.id, 'noCar');
    res.json(await readInShop((tx) => codesOf(tx, actor, id)));
  });
  routes.on('post', '/vehicles/:id/codes', 'changeCars', async ({ req, res, actor, inShop }) => {
    const id = validId(req.params.id, 'noCar');
    res.json(await inShop((tx) => makeCode(tx, actor, id, req.ip)));
  });
  routes.on('post', '/vehicles/taken', 'changeCars', async ({ req, res, actor, inShop }) => {
    const { code } = validBody(receiveCarSchema, req.body);
    res.json(await inShop((tx) => receiveCar(tx, actor, code, req.ip)));
  });
}
