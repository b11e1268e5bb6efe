import {
  DEFAULT_RIG,
  playGaugeSchema,
  pressGaugeSchema,
  readerStateSchema,
  rigStateSchema,
} from '@keen/contract';
import { createRandom } from '@keen/core';
import { eq } from 'drizzle-orm';
import { Router } from 'express';
import type { Context } from '../../context.ts';
import type { Handle } from '../../db/client.ts';
import { shops } from '../../db/schema/index.ts';
import { tellLive } from '../../db/tellLive.ts';
import { gaugeOf, pressGauge } from '../../devices/simulatedGauge.ts';
import { drivePast, readerOf } from '../../devices/simulatedReader.ts';
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
  router.get('/gauge', async (req, res) => {
    res.json(await gaugeOf(db, signedIn(req).shopId));
  });
  router.put('/gauge', async (req, res) => {
    const { shopId } = signedIn(req);
    const played = validBody(playGaugeSchema, req.body);
    const gauge = { ...(await gaugeOf(db, shopId)), ...played };
    await db.transaction(async (tx) => {
      await tx.update(shops).set({ gauge }).where(eq(shops.id, shopId));
      if (!gauge.isOn) await tellLive(tx, { shopId, kind: 'gauge', says: 'breaksOff' });
    });
    res.json(gauge);
  });
  router.post('/gauge/press', async (req, res) => {
    const { shopId } = signedIn(req);
    const { mm } = validBody(pressGaugeSchema, req.body);
    const { says, after } = pressGauge(await gaugeOf(db, shopId), mm);
    await db.transaction(async (tx) => {
      await tx.update(shops).set({ gauge: after }).where(eq(shops.id, shopId));
      for (const said of says) await tellLive(tx, { shopId, kind: 'gauge', says: said });
    });
    res.json(after);
  });
  router.get('/reader', async (req, res) => {
    res.json((await readerOf(db, signedIn(req).shopId)).state);
  });
  router.put('/reader', async (req, res) => {
    const { shopId } = signedIn(req);
    const state = validBody(readerStateSchema, req.body);
    const reader = { ...(await readerOf(db, shopId)), state };
    await db.transaction(async (tx) => {
      await tx.update(shops).set({ reader }).where(eq(shops.id, shopId));
      if (!state.isOn) await tellLive(tx, { shopId, kind: 'reader', says: 'breaksOff' });
    });
    res.json(state);
  });
  router.post('/reader/pass', async (req, res) => {
    const { shopId } = signedIn(req);
    const { state, n } = await readerOf(db, shopId);
    const now = new Date();
    if (state.isOn) {
      const pass = drivePast(state, createRandom(now.getTime()), now.toISOString());
      const drops = state.fault === 'dropsOut';
      await db.transaction(async (tx) => {
        await tx
          .update(shops)
          .set({ reader: { state, n: n + 1, pass } })
          .where(eq(shops.id, shopId));
        await tellLive(tx, { shopId, kind: 'reader', says: drops ? 'breaksOff' : 'pass' });
      });
    }
    res.json(state);
  });
  return router;
}

async function rigOf(db: Handle, shopId: string) {
  const [shop] = await db.select({ rig: shops.rig }).from(shops).where(eq(shops.id, shopId));
  // A car kept by an older version gives way to the usual one.
  const kept = rigStateSchema.safeParse(shop?.rig);
  return kept.success ? kept.data : DEFAULT_RIG;
}
