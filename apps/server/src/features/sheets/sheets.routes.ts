import { newSheetsSchema } from '@keen/contract';
import type { Routes } from '../../http/routes.ts';
import { validBody, validId } from '../../http/validate.ts';
import { followChain, saveSheets, listSheets, turnsOfSheet } from './sheets.service.ts';

export function mountSheets(routes: Routes): void {
  routes.on('get', '/sheets', 'read', async ({ res, actor, inShop }) => {
    res.json(await inShop((tx) => listSheets(tx, actor)));
  });
  routes.on('get', '/sheets/:id/turns', 'read', async ({ req, res, inShop }) => {
    const sheetId = validId(req.params.id, 'noSheet');
    res.json(await inShop((tx) => turnsOfSheet(tx, sheetId)));
  });
  routes.on('post', '/sheets/:id/chains', 'editSheets', async ({ req, res, actor, inShop }) => {
    const sheetId = validId(req.params.id, 'noSheet');
    res.json(await inShop((tx) => followChain(tx, actor, sheetId)));
  });
  routes.on('post', '/sheets', 'editSheets', async ({ req, res, actor, inShop }) => {
    const order = validBody(newSheetsSchema, req.body);
    res.json(await inShop((tx) => saveSheets(tx, actor, order)));
  });
}
