import {
  changeSettingsSchema,
  newPasswordSchema,
  newPersonSchema,
  shopSettingsSchema,
} from '@keen/contract';
import { eq } from 'drizzle-orm';
import { Router } from 'express';
import type { Context } from '../../context.ts';
import { shops } from '../../db/schema/index.ts';
import { settingsOf } from '../../db/shopSettings.ts';
import { tellLive } from '../../db/tellLive.ts';
import { signedIn } from '../../http/signedIn.ts';
import { validBody, validId } from '../../http/validate.ts';
import { addPerson, givePassword } from './shop.service.ts';

/** What the shop has settled for everybody in it. */
export function shopRoutes({ db }: Context): Router {
  const router = Router();
  router.put('/settings', async (req, res) => {
    const { shopId } = signedIn(req);
    const change = validBody(changeSettingsSchema, req.body);
    const settings = await db.transaction(async (tx) => {
      // One after the other, so that two who change different settings both keep theirs.
      const [shop] = await tx.select().from(shops).where(eq(shops.id, shopId)).for('update');
      const settings = shopSettingsSchema.parse({
        ...settingsOf(shop ?? { settings: null }),
        ...change,
      });
      await tx.update(shops).set({ settings }).where(eq(shops.id, shopId));
      await tellLive(tx, { shopId, kind: 'settings' });
      return settings;
    });
    res.json(settings);
  });
  router.post('/people', async (req, res) => {
    res.json(await addPerson(db, signedIn(req), validBody(newPersonSchema, req.body)));
  });
  router.put('/people/:id/password', async (req, res) => {
    const { password } = validBody(newPasswordSchema, req.body);
    await givePassword(db, signedIn(req), validId(req.params.id, 'person'), password);
    res.status(204).end();
  });
  return router;
}
