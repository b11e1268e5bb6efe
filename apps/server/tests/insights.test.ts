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

  /** Decisions of other days, in one statement. */
  const add = (list: { visit: string; answer: string; at: string }[]) =>
    asOwner(
      server,
      `insert into decisions (id, shop_id, visit_id, action, advised, replace, answer, reason, diagnosis,
         entry_seq, person_id, created_at)
       select gen_random_uuid(), d.shop_id, added.visit, 'align', 'align', '[]', added.answer, '', d.diagnosis,
         1, d.person_id, added.at
       from jsonb_to_recordset($2) as added (visit uuid, answer text, at timestamptz),
         (select * from decisions where visit_id = $1 limit 1) as d`,
      [first.id, JSON.stringify(list)],
    );

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
    // Just before midnight, on a visit of its own.
    await add([
      { visit: (await arrive(agent, 'EARLY')).id, answer: 'yes', at: '2026-03-05T23:30:00Z' },
    ]);
    const sum = async (query: object) =>
      (await advice(query)).reduce((total, { count }) => total + count, 0);
    expect(await sum({ from: '2026-03-05', until: '2026-03-05' })).toBe(1);
    expect(await sum({ until: '2026-03-04' })).toBe(0);
    expect(await sum({ from: '2026-03-06' })).toBe(3);
    await agent.get('/api/insights/advice').query({ from: 'yesterday' }).expect(400);
  });

  it('counts a visit on the day of its last decision, in whatever order they come in', async () => {
    const days = { from: '2026-02-01', until: '2026-02-28' };
    const count = async () =>
      (await advice(days)).map(({ answer, count: n }) => `${answer} ${n}`).toSorted();
    const [one, two] = [(await arrive(agent)).id, (await arrive(agent)).id];
    // As an archive brings them: all at once, the later one first.
    await add([
      { visit: one, answer: 'open', at: '2026-02-03T09:00:00Z' },
      { visit: one, answer: 'yes', at: '2026-02-02T09:00:00Z' },
      { visit: two, answer: 'yes', at: '2026-02-02T10:00:00Z' },
    ]);
    expect(await count()).toEqual(['open 1', 'yes 1']);
    await add([{ visit: one, answer: 'yes', at: '2026-02-01T09:00:00Z' }]);
    expect(await count()).toEqual(['open 1', 'yes 1']);
    await add([{ visit: one, answer: 'yes', at: '2026-02-04T09:00:00Z' }]);
    expect(await count()).toEqual(['yes 2']);
    // Many at once, each from a connection of its own.
    await Promise.all(
      Array.from({ length: 8 }, (_, n) =>
        add([{ visit: two, answer: n % 2 ? 'open' : 'yes', at: `2026-02-05T09:00:0${n}Z` }]),
      ),
    );
    expect(await count()).toEqual(['open 1', 'yes 1']);
    const differs = await asOwner(
      server,
      `select shop_id, day, person_id, advised, chosen, answer, count from advice_days where count > 0
       except
       select shop_id, (created_at at time zone 'UTC')::date, person_id, coalesce(advised, action), action, answer, count(*)
       from (select distinct on (visit_id) * from decisions order by visit_id, created_at desc, id desc) as last
       group by 1, 2, 3, 4, 5, 6`,
    );
    expect(differs).toEqual([]);
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
