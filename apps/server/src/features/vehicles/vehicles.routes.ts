import { changeVehicleSchema } from '@keen/contract';
import { Router } from 'express';
import type { Context } from '../../context.ts';
import { signedIn } from '../../http/signedIn.ts';
import { validBody, validId } from '../../http/validate.ts';
import { changeVehicle, findVehicles, tireLines } from './vehicles.service.ts';

const MOST_LETTERS = 60;

export function vehicleRoutes({ db }: Context): Router {
  const router = Router();
  router.get('/vehicles', async (req, res) => {
    const actor = signedIn(req);
    const words = typeof req.query.q === 'string' ? req.query.q : '';
    res.json(await findVehicles(db, actor, words.trim().slice(0, MOST_LETTERS)));
  });
  router.put('/vehicles/:id', async (req, res) => {
    const actor = signedIn(req);
    const change = validBody(changeVehicleSchema, req.body);
    res.json(await changeVehicle(db, actor, validId(req.params.id, 'car'), change));
  });
  router.get('/tire-lines', async (req, res) => {
    res.json(await tireLines(db, signedIn(req)));
  });
  return router;
}
