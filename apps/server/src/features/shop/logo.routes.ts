import { MOST_LOGO_BYTES } from '@keen/contract';
import { eq } from 'drizzle-orm';
import express, { Router } from 'express';
import type { Context } from '../../context.ts';
import { shopLogos } from '../../db/schema/index.ts';
import { tellLive } from '../../db/tellLive.ts';
import { invalid, notFound } from '../../errors.ts';
import { signedIn } from '../../http/signedIn.ts';
import { stripPicture } from '../../pictures/stripPicture.ts';

/** The picture that the shop prints on its papers. */
export function logoRoutes({ db }: Context): Router {
  const router = Router();
  router.get('/logo', async (req, res) => {
    const { shopId } = signedIn(req);
    const [logo] = await db.select().from(shopLogos).where(eq(shopLogos.shopId, shopId));
    if (!logo) throw notFound('logo');
    res.type(logo.type).send(logo.picture);
  });
  router.put(
    '/logo',
    express.raw({ type: ['image/jpeg', 'image/png'], limit: MOST_LOGO_BYTES }),
    async (req, res) => {
      const { shopId } = signedIn(req);
      const logo = Buffer.isBuffer(req.body) ? stripPicture(req.body) : null;
      if (!logo) throw invalid([{ path: '', expected: 'a whole JPEG or PNG picture' }]);
      await db.transaction(async (tx) => {
        await tx
          .insert(shopLogos)
          .values({ shopId, ...logo })
          .onConflictDoUpdate({ target: shopLogos.shopId, set: logo });
        await tellLive(tx, { shopId, kind: 'settings' });
      });
      res.status(204).end();
    },
  );
  router.delete('/logo', async (req, res) => {
    const { shopId } = signedIn(req);
    await db.delete(shopLogos).where(eq(shopLogos.shopId, shopId));
    await tellLive(db, { shopId, kind: 'settings' });
    res.status(204).end();
  });
  return router;
}
