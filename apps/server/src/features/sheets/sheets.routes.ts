import { newSheetsSchema } from '@keen/contract';
import { Router } from 'express';
import type { Context } from '../../context.ts';
import { signedIn } from '../../http/signedIn.ts';
import { validBody } from '../../http/validate.ts';
import { keepSheets, listSheets } from './sheets.service.ts';

export function sheetsRoutes({ db }: Context): Router {
  const router = Router();
  router.get('/', async (req, res) => {
    res.json(await listSheets(db, signedIn(req)));
  });
  router.post('/', async (req, res) => {
    const actor = signedIn(req);
    res.json(await keepSheets(db, actor, validBody(newSheetsSchema, req.body)));
  });
  return router;
}
