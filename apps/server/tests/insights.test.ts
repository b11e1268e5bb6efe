import { randomUUID } from 'node:crypto';
import type { Advice, DeclinedPage, Visit, VisitDetail } from '@keen/contract';
import type { Reliability } from '@keen/core';
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
let leadId: string;
beforeAll(async () => {
  server = await serve(await createDatabase());
  agent = agentOf(server);
  leadId = (await setUpShop(agent)).person.id;
});
afterAll(() => server.close());

const advice = async (query: object = {}, from = agent) =>
  bodyOf<Advice>(await from.get('/api/insights/advice').query(query).expect(200)).counts;
const declined = async (query: object = {}, from = agent) =>
  bodyOf<DeclinedPage>(await from.get('/api/insights/declined').query(query).expect(200));

async function read(plate: string, from = agent): Promise<Visit> {
  const visit = await arrive(from, plate);
  await from.post(`/api/visits/${visit.id}/entries`).send({ entries: toeInReadings() }).expect(200);
  return visit;
}
const decide = (visit: Visit, answer: string, change: object = {}, from = agent) =>
  from
    .post(`/api/visits/${visit.id}/decisions`)
    .send({ id: randomUUID(), action: 'align', replace: [], answer, reason: '', ...change })
    .expect(200);

describe('what was advised and answered', () => {
  let first: Visit;
  beforeAll(async () => {
    first = await read('ONE');
    const second = await read('TWO');
    await decide(first, 'yes');
    await decide(second, 'open');
    // Thought about it: a visit counts once, by its last word.
    await decide(second, 'no', { reason: 'sells the car soon' });
    await decide(await read('THREE'), 'yes', { action: 'fitOnly', reason: 'the customer’s wish' });
    const other = await secondShop(server);
    await decide(await read('THEIRS', other), 'no', {}, other);
  });

  it('counts each visit of the shop once, by its last decision', async () => {
    const counts = await advice();
    expect(counts.reduce((sum, { count }) => sum + count, 0)).toBe(3);
    expect(counts.every(({ personId }) => personId === leadId)).toBe(true);
    const of = (chosen: string, answer: string) =>
      counts.find((one) => one.chosen === chosen && one.answer === answer)?.count ?? 0;
    expect(of('align', 'yes')).toBe(1);
    expect(of('align', 'no')).toBe(1);
    expect(of('align', 'open')).toBe(0);
    expect(of('fitOnly', 'yes')).toBe(1);
    expect(counts.find(({ chosen }) => chosen === 'fitOnly')!.advised).not.toBe('fitOnly');
  });

  it('counts the days asked for, the last one whole', async () => {
    await asOwner(
      server,
      `update decisions set created_at = '2026-03-05T23:30:00Z' where visit_id = $1`,
      [first.id],
    );
    const sum = async (query: object) =>
      (await advice(query)).reduce((total, { count }) => total + count, 0);
    expect(await sum({ from: '2026-03-05', until: '2026-03-05' })).toBe(1);
    expect(await sum({ until: '2026-03-04' })).toBe(0);
    expect(await sum({ from: '2026-03-06' })).toBe(2);
    await agent.get('/api/insights/advice').query({ from: 'yesterday' }).expect(400);
  });

  it('lists who said no, with the reason', async () => {
    const { rows, before } = await declined();
    expect(rows).toMatchObject([
      { plate: 'TWO', chosen: 'align', reason: 'sells the car soon', personId: leadId },
    ]);
    expect(before).toBeNull();
    expect((await declined({ until: '2026-01-01' })).rows).toEqual([]);
  });

  it('goes on page by page', async () => {
    for (let i = 0; i < 55; i++) await arrive(agent);
    await asOwner(
      server,
      `insert into decisions (id, shop_id, visit_id, action, advised, replace, answer, reason, diagnosis,
         entry_seq, person_id, created_at)
       select gen_random_uuid(), d.shop_id, v.id, 'align', 'align', '[]', 'no', 'reason ' || v.number, d.diagnosis,
         1, d.person_id, '2025-01-01T00:00:00Z'::timestamptz + v.number * interval '1 hour'
       from decisions d, visits v where d.visit_id = $1 and v.shop_id = d.shop_id and v.number > 3`,
      [first.id],
    );
    const one = await declined();
    expect(one.rows).toHaveLength(50);
    const two = await declined({ before: one.before });
    expect(two.rows).toHaveLength(6);
    expect(two.before).toBeNull();
    const all = [...one.rows, ...two.rows];
    expect(new Set(all.map(({ visitId }) => visitId)).size).toBe(56);
    expect(all.map(({ at }) => at)).toEqual(
      all
        .map(({ at }) => at)
        .toSorted()
        .toReversed(),
    );
  });
});

describe('whether the chances held', () => {
  const held = async (query: object = {}) =>
    bodyOf<Reliability>(await agent.get('/api/insights/reliability').query(query).expect(200));
  const measure = (visit: Visit, toe: number) =>
    agent
      .post(`/api/visits/${visit.id}/entries`)
      .send({ entries: ['lf', 'rf'].map((wheel) => entry(`angles.${wheel}`, { toe })) })
      .expect(200);

  it('counts cars that were decided on before any angle was measured, and measured later', async () => {
    expect(await held()).toMatchObject({ cars: 0, isTooFew: true });
    const toldFirst = await read('TOLD');
    await decide(toldFirst, 'yes');
    await measure(toldFirst, 0.4);
    const measuredFirst = await read('RIG FIRST');
    await measure(measuredFirst, 0.4);
    await decide(measuredFirst, 'yes');
    // Decided once more after it was measured: what was said before still counts.
    await decide(toldFirst, 'yes');
    const { cars, chances, found, expected, bands } = await held();
    expect({ cars, chances, found }).toEqual({ cars: 1, chances: 2, found: 1 });
    const { visit } = bodyOf<VisitDetail>(
      await agent.get(`/api/visits/${toldFirst.id}`).expect(200),
    );
    expect(visit.draft.angles?.lf?.toe).toBe(0.4);
    expect(expected).toBeGreaterThan(0.5);
    expect(bands.reduce((sum, band) => sum + band.found.of, 0)).toBe(2);
    expect((await held({ until: '2026-01-01' })).cars).toBe(0);
  });
});
