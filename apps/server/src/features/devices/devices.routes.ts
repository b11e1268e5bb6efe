import { DEFAULT_RIG, rigStateSchema } from '@keen/contract';
import { createRandom } from '@keen/core';
import { eq } from 'drizzle-orm';
import { Router } from 'express';
import type { Context } from '../../context.ts';
import type { Handle } from '../../db/client.ts';
import { shops } from '../../db/schema/index.ts';
import { rigReading } from '../../devices/simulatedRig.ts';
import { signedIn } from '../../http/signedIn.ts';
import { validBody } from '../../http/validate.ts';

/** The simulated devices that ship with the product, one of each for every shop. */
export function deviceRoutes({ db }: Context): Router {
  const router = Router();
  router.get('/rig', async (req, res) => {
    res.json(await rigOf(db, signedIn(req).shopId));
  });
  router.put('/rig', async (req, res) => {
    const { shopId } = signedIn(req);
    const rig = validBody(rigStateSchema, req.body);
    await db.update(shops).set({ rig }).where(eq(shops.id, shopId));
    res.json(rig);
  });
  router.get('/rig/reading', async (req, res) => {
    const rig = await rigOf(db, signedIn(req).shopId);
    const now = new Date();
    res.json(rigReading(rig, createRandom(now.getTime()), now.toISOString()));
  });
  return router;
}

async function rigOf(db: Handle, shopId: string) {
  const [shop] = await db.select({ rig: shops.rig }).from(shops).where(eq(shops.id, shopId));
  // A car kept by an older version gives way to the usual one.
  const kept = rigStateSchema.safeParse(shop?.rig);
  return kept.success ? kept.data : DEFAULT_RIG;
}
