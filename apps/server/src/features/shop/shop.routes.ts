import { newPersonSchema, shopSettingsSchema } from '@keen/contract';
import { eq } from 'drizzle-orm';
import { Router } from 'express';
import type { Context } from '../../context.ts';
import { shops } from '../../db/schema/index.ts';
import { tellLive } from '../../db/tellLive.ts';
import { signedIn } from '../../http/signedIn.ts';
import { validBody } from '../../http/validate.ts';
import { addPerson } from './shop.service.ts';

/** What the shop has settled for everybody in it. */
export function shopRoutes({ db }: Context): Router {
  const router = Router();
  router.put('/settings', async (req, res) => {
    const { shopId } = signedIn(req);
    const settings = validBody(shopSettingsSchema, req.body);
    await db.transaction(async (tx) => {
      await tx.update(shops).set({ settings }).where(eq(shops.id, shopId));
      await tellLive(tx, { shopId, kind: 'settings' });
    });
    res.json(settings);
  });
  router.post('/people', async (req, res) => {
    res.json(await addPerson(db, signedIn(req), validBody(newPersonSchema, req.body)));
  });
  return router;
}
