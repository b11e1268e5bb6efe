import { randomUUID } from 'node:crypto';
import type {
  Comebacks,
  DeclineCosts,
  DeclinedPage,
  Forecast,
  ForecastsHeld,
  Visit,
} from '@keen/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import {
  agentOf,
  arrive,
  asOwner,
  bodyOf,
  createDatabase,
  entry,
  secondShop,
  serve,
  setUpShop,
  toeInReadings,
} from './testServer.ts';
import type { Agent } from './testServer.ts';

let server: RunningServer;
let agent: Agent;
/** Of one car: a no; the yes a year later; the return. */
let first: Visit;
let second: Visit;
let third: Visit;

const ask = async <Body>(path: string, query: object = {}, from = agent) =>
  bodyOf<Body>(await from.get(`/api/insights/${path}`).query(query).expect(200));
const tell = (visit: Visit, entries: object[]) =>
  agent.post(`/api/visits/${visit.id}/entries`).send({ entries }).expect(200);
const decide = (visit: Visit, answer: string) =>
  agent
    .post(`/api/visits/${visit.id}/decisions`)
    .send({ id: randomUUID(), action: 'align', replace: [], answer, reason: 'as wished' })
    .expect(200);
const arrived = (visit: Visit, iso: string) =>
  asOwner(server, 'update visits set arrived_at = $2 where id = $1', [visit.id, iso]);

async function comesAgain(): Promise<Visit> {
  const order = { id: randomUUID(), vehicle: { id: first.vehicle.id }, entries: [] };
  return bodyOf<Visit>(await agent.post('/api/visits').send(order).expect(200));
}
/** The same tread, worn on; the odometer says how far. */
const readAt = (odometer: number, wornMm: number) => [
  entry('visit.odometer', odometer),
  ...toeInReadings().map(({ path, value, ...rest }) => {
    if (path.includes('stations')) {
      // Toe takes more of the outer rib.
      const more = path.endsWith('outer') && path.includes('f.') ? 1.6 : 1;
      return { ...rest, path, value: Number(((value as number) - wornMm * more).toFixed(1)) };
    }
    return { ...rest, path, value: path.endsWith('distance') ? odometer - 20_000 : value };
  }),
];
const angles = (toe: number) =>
  ['lf', 'rf'].map((wheel) => entry(`angles.${wheel}`, { camber: -0.5, toe }));

beforeAll(async () => {
  server = await serve(await createDatabase());
  agent = agentOf(server);
  await setUpShop(agent);
  first = await arrive(agent, 'AGAIN');
  await arrived(first, '2026-01-05T09:00:00Z');
  await tell(first, readAt(50_000, 0));
  await decide(first, 'no');
  second = await comesAgain();
  await arrived(second, '2026-06-05T09:00:00Z');
  await tell(second, readAt(58_000, 1));
  await decide(second, 'yes');
  await tell(second, angles(0.6));
  await tell(second, [
    entry('visit.setRight.before', {
      lf: { camber: -0.5, toe: 0.6 },
      rf: { camber: -0.5, toe: 0.6 },
    }),
    ...angles(0.05),
  ]);
  third = await comesAgain();
  await arrived(third, '2026-09-05T09:00:00Z');
  await tell(third, [...readAt(63_000, 1.4), ...angles(0.5)]);
});
afterAll(() => server.close());

describe('comebacks', () => {
  it('name the work, the return and the visit that could have caught it', async () => {
    const { withinKm, works, rows, isCut } = await ask<Comebacks>('comebacks');
    expect({ withinKm, isCut }).toEqual({ withinKm: 10_000, isCut: false });
    expect(works).toMatchObject([{ work: 'aligned', done: 1, seenAgain: 1, cameBack: 1 }]);
    expect(rows).toMatchObject([
      {
        work: 'aligned',
        plate: 'AGAIN',
        km: 5_000,
        how: 'measured',
        done: { visitId: second.id },
        back: { visitId: third.id },
        caughtAt: { visit: { visitId: second.id }, why: 'notShaken' },
      },
    ]);
  });

  it('go by the distance that the shop has set', async () => {
    await agent.put('/api/shop/settings').send({ comebackKm: 4_000 }).expect(200);
    const { withinKm, works, rows } = await ask<Comebacks>('comebacks');
    expect(withinKm).toBe(4_000);
    expect(works[0]).toMatchObject({ seenAgain: 1, cameBack: 0 });
    expect(rows).toEqual([]);
    await agent.put('/api/shop/settings').send({ comebackKm: 100 }).expect(400);
    await agent.put('/api/shop/settings').send({ comebackKm: 10_000 }).expect(200);
  });
});

describe('what a no has cost', () => {
  it('is told of the no itself, and over all', async () => {
    const { rows } = await ask<DeclinedPage>('declined');
    expect(rows).toMatchObject([{ plate: 'AGAIN', cost: { visitId: second.id } }]);
    expect(rows[0]!.cost!.minor).toBeGreaterThan(0);
    const costs = await ask<DeclineCosts>('decline-costs');
    expect(costs).toMatchObject({
      declined: 1,
      isCut: false,
      all: { seenAgain: 1, isTooFew: true },
    });
    expect(costs.all.cost).toEqual({ mean: rows[0]!.cost!.minor, interval: null });
    expect(costs.byAdvised).toHaveLength(1);
  });
});

describe('forecasts', () => {
  it('are kept with the decision and held against the next reading', async () => {
    const held = await ask<ForecastsHeld>('forecasts');
    // After the no the tires ran on as they were; after the yes on a car that had been put right.
    expect(held).toMatchObject({ cars: 2, ribs: 24, isTooFew: true, isCut: false });
    expect(held.kinds).toMatchObject([
      { kind: 'ranOn', cars: 1, ribs: 12 },
      { kind: 'putRight', cars: 1, ribs: 12 },
      { kind: 'fresh', cars: 0, ribs: 0, lost: null },
    ]);
    const ranOn = held.points.find(({ kind }) => kind === 'ranOn')!;
    expect(ranOn).toMatchObject({ visitId: second.id, plate: 'AGAIN', km: 8_000 });
    expect(ranOn.forecast).toBeGreaterThan(0.5);
    expect(ranOn.found).toBeGreaterThan(0.5);
    const saved = await asOwner<{ answer: string; forecast: Forecast | null }>(
      server,
      'select answer, forecast from decisions',
    );
    expect(saved.map(({ answer, forecast }) => `${answer} ${forecast?.course}`).toSorted()).toEqual(
      ['no fitOnly', 'yes align'],
    );
    for (const { forecast } of saved) expect(forecast?.km[0]).toBe(0);
  });
});

describe('all of it', () => {
  it('is of the days asked for', async () => {
    const before = { until: '2020-01-01' };
    expect((await ask<Comebacks>('comebacks', before)).works).toEqual([]);
    expect((await ask<DeclineCosts>('decline-costs', before)).declined).toBe(0);
    expect((await ask<ForecastsHeld>('forecasts', before)).cars).toBe(0);
  });

  it('is of the own shop only', async () => {
    const lead = await secondShop(server);
    expect((await ask<Comebacks>('comebacks', {}, lead)).works).toEqual([]);
    expect((await ask<DeclineCosts>('decline-costs', {}, lead)).declined).toBe(0);
    expect((await ask<ForecastsHeld>('forecasts', {}, lead)).points).toEqual([]);
  });
});
