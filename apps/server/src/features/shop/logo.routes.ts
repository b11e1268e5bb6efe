import { MOST_LOGO_BYTES, validationIssue } from '@keen/contract';
import { eq } from 'drizzle-orm';
import express from 'express';
import type { Context } from '../../context.ts';
import { addAudit } from '../../db/audit.ts';
import { shopLogos } from '../../db/schema/index.ts';
import { notifyLive } from '../../db/notifyLive.ts';
import { invalid, notFound } from '../../errors.ts';
import { LOGO_SIDE } from '../../pictures/pictureSizes.ts';
import type { Routes } from '../../http/routes.ts';

/** The picture that the shop prints on its papers. */
export function mountLogo(routes: Routes, { workshop }: Context): void {
  routes.on('get', '/shop/logo', 'read', async ({ res, actor, inShop }) => {
    const [logo] = await inShop((tx) =>
      tx.select().from(shopLogos).where(eq(shopLogos.shopId, actor.shopId)),
    );
    if (!logo) throw notFound('noLogo');
    res.type(logo.type).send(logo.picture);
  });
  routes.on(
    'put',
    '/shop/logo',
    'changeShop',
    async ({ req, res, actor, inShop }) => {
      const { shopId } = actor;
      if (!Buffer.isBuffer(req.body)) {
        throw invalid([validationIssue('', 'picture')]);
      }
      const logo = await workshop.cleanPicture(req.body, LOGO_SIDE);
      if ('expected' in logo) throw invalid([{ path: '', ...logo }]);
      await inShop(async (tx) => {
        await tx
          .insert(shopLogos)
          .values({ shopId, ...logo })
          .onConflictDoUpdate({ target: shopLogos.shopId, set: logo });
        await addAudit(tx, actor, 'logo', {}, req.ip);
        await notifyLive(tx, { shopId, kind: 'settings' });
      });
      res.status(204).end();
    },
    express.raw({ type: ['image/jpeg', 'image/png'], limit: MOST_LOGO_BYTES }),
  );
  routes.on('delete', '/shop/logo', 'changeShop', async ({ req, res, actor, inShop }) => {
    const { shopId } = actor;
    await inShop(async (tx) => {
      await tx.delete(shopLogos).where(eq(shopLogos.shopId, shopId));
      await addAudit(tx, actor, 'logo', {}, req.ip);
      await notifyLive(tx, { shopId, kind: 'settings' });
    });
    res.status(204).end();
  });
}
