import {
  DEFAULT_RIG,
  playGaugeSchema,
  pressGaugeSchema,
  readerStateSchema,
  rigStateSchema,
} from '@keen/contract';
import { createRandom } from '@keen/core';
import { eq } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { shops } from '../../db/schema/index.ts';
import { notifyLive } from '../../db/notifyLive.ts';
import { gaugeOf, pressGauge } from '../../devices/simulatedGauge.ts';
import { drivePast, readerOf } from '../../devices/simulatedReader.ts';
import { rigReading } from '../../devices/simulatedRig.ts';
import type { Routes } from '../../http/routes.ts';
import { validBody } from '../../http/validate.ts';

/** The simulated devices that ship with the product, one of each for every shop. */
export function mountDevices(routes: Routes): void {
  mountRig(routes);
  mountGauge(routes);
  mountReader(routes);
}

function mountRig(routes: Routes): void {
  routes.on('get', '/devices/rig', 'read', async ({ res, actor, inShop }) => {
    res.json(await inShop((tx) => rigOf(tx, actor.shopId)));
  });
  routes.on('put', '/devices/rig', 'playDevices', async ({ req, res, actor, inShop }) => {
    const rig = validBody(rigStateSchema, req.body);
    await inShop((tx) => tx.update(shops).set({ rig }).where(eq(shops.id, actor.shopId)));
    res.json(rig);
  });
  routes.on('get', '/devices/rig/reading', 'read', async ({ res, actor, inShop }) => {
    const rig = await inShop((tx) => rigOf(tx, actor.shopId));
    const now = new Date();
    res.json(rigReading(rig, createRandom(now.getTime()), now.toISOString()));
  });
}

function mountGauge(routes: Routes): void {
  routes.on('get', '/devices/gauge', 'read', async ({ res, actor, inShop }) => {
    res.json(await inShop((tx) => gaugeOf(tx, actor.shopId)));
  });
  routes.on('put', '/devices/gauge', 'playDevices', async ({ req, res, actor, inShop }) => {
    const { shopId } = actor;
    const played = validBody(playGaugeSchema, req.body);
    const gauge = await inShop(async (tx) => {
      const next = { ...(await gaugeOf(tx, shopId)), ...played };
      await tx.update(shops).set({ gauge: next }).where(eq(shops.id, shopId));
      if (!next.isOn) await notifyLive(tx, { shopId, kind: 'gauge', says: 'breaksOff' });
      return next;
    });
    res.json(gauge);
  });
  routes.on('post', '/devices/gauge/press', 'playDevices', async ({ req, res, actor, inShop }) => {
    const { shopId } = actor;
    const { mm } = validBody(pressGaugeSchema, req.body);
    const after = await inShop(async (tx) => {
      const pressed = pressGauge(await gaugeOf(tx, shopId), mm);
      await tx.update(shops).set({ gauge: pressed.after }).where(eq(shops.id, shopId));
      for (const said of pressed.says) await notifyLive(tx, { shopId, kind: 'gauge', says: said });
      return pressed.after;
    });
    res.json(after);
  });
}

function mountReader(routes: Routes): void {
  routes.on('get', '/devices/reader', 'read', async ({ res, actor, inShop }) => {
    res.json((await inShop((tx) => readerOf(tx, actor.shopId))).state);
  });
  routes.on('put', '/devices/reader', 'playDevices', async ({ req, res, actor, inShop }) => {
    const { shopId } = actor;
    const state = validBody(readerStateSchema, req.body);
    await inShop(async (tx) => {
      const reader = { ...(await readerOf(tx, shopId)), state };
      await tx.update(shops).set({ reader }).where(eq(shops.id, shopId));
      if (!state.isOn) await notifyLive(tx, { shopId, kind: 'reader', says: 'breaksOff' });
    });
    res.json(state);
  });
  routes.on('post', '/devices/reader/pass', 'playDevices', async ({ res, actor, inShop }) => {
    const { shopId } = actor;
    const state = await inShop(async (tx) => {
      const reader = await readerOf(tx, shopId);
      if (!reader.state.isOn) return reader.state;
      const now = new Date();
      const pass = drivePast(reader.state, createRandom(now.getTime()), now.toISOString());
      await tx
        .update(shops)
        .set({ reader: { state: reader.state, n: reader.n + 1, pass } })
        .where(eq(shops.id, shopId));
      const says = reader.state.fault === 'dropsOut' ? 'breaksOff' : 'pass';
      await notifyLive(tx, { shopId, kind: 'reader', says });
      return reader.state;
    });
    res.json(state);
  });
}

async function rigOf(db: Handle, shopId: string) {
  const [shop] = await db.select({ rig: shops.rig }).from(shops).where(eq(shops.id, shopId));
  // A car stored by an older version gives way to the usual one.
  const stored = rigStateSchema.safeParse(shop?.rig);
  return stored.success ? stored.data : DEFAULT_RIG;
}
