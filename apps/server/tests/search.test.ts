import type { DuePage, TireLine, Visit, VisitPage } from '@keen/contract';
import { duePageSchema, visitPageSchema } from '@keen/contract';
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
} from './testServer.ts';
import type { Agent } from './testServer.ts';

let server: RunningServer;
let agent: Agent;
beforeAll(async () => {
  server = await serve(await createDatabase());
  agent = agentOf(server);
  await setUpShop(agent);
});
afterAll(() => server.close());

async function put(visit: Pick<Visit, 'id'>, values: Record<string, unknown>): Promise<void> {
  const entries = Object.entries(values).map(([path, value]) => entry(path, value));
  await agent.post(`/api/visits/${visit.id}/entries`).send({ entries }).expect(200);
}

async function rename(visit: Visit, change: object): Promise<void> {
  await agent.put(`/api/vehicles/${visit.vehicle.id}`).send(change).expect(200);
}

async function page(query: object, by: Agent = agent): Promise<VisitPage> {
  const answer = await by
    .get('/api/visits')
    .query({ all: 'true', ...query })
    .expect(200);
  return visitPageSchema.parse(answer.body);
}
const numbers = ({ visits }: VisitPage) => visits.map(({ number }) => number);

describe('a search of all visits', () => {
  let visit: Visit;
  beforeAll(async () => {
    visit = await arrive(agent, '418 KQ');
    await rename(visit, { label: 'Courier van', customer: 'José Gull', phone: '+00 (555) 0142' });
    await put(visit, { 'visit.words': 'It wanders 100% of the time' });
    await arrive(agent, 'ZZ 9');
  });

  it.each([
    '418',
    '418kq',
    '418-KQ',
    'k',
    'jose',
    'JOSÉ gull',
    'courier wanders',
    '5550142',
    '(555)',
    '100%',
    () => `#${visit.number}`,
  ])('finds it by %s', async (words) => {
    const found = await page({ words: typeof words === 'string' ? words : words() });
    expect(numbers(found)).toEqual([visit.number]);
  });

  it.each(['419', 'courier taxi', 'q', 'wan_ers', "'; drop table visits", '\\'])(
    'does not find it by %s',
    async (words) => {
      expect(numbers(await page({ words }))).toEqual([]);
    },
  );

  it('finds words with quotes and backslashes in them', async () => {
    const odd = await arrive(agent, 'ODD 1');
    await put(odd, { 'visit.words': `since eight o'clock, left\\right & (both) | !none:*` });
    for (const words of ["o'clo", 'left\\r', '&', '(both)', '|', '!none:*', "eight o'clock"]) {
      expect(numbers(await page({ words })), words).toEqual([odd.number]);
    }
  });

  it('goes by what the car and the customer are called now', async () => {
    await rename(visit, { customer: 'Marguerite' });
    expect(numbers(await page({ words: 'gull' }))).toEqual([]);
    expect(numbers(await page({ words: 'marguer' }))).toEqual([visit.number]);
    await put(visit, { 'visit.words': 'It pulls' });
    expect(numbers(await page({ words: 'wanders' }))).toEqual([]);
    expect(numbers(await page({ words: 'pulls' }))).toEqual([visit.number]);
  });

  it('finds nothing of an erased customer', async () => {
    const gone = await arrive(agent, 'GONE 1');
    await put(gone, { 'visit.words': 'a private matter' });
    await agent.delete(`/api/customers/${gone.vehicle.id}`).expect(204);
    expect(numbers(await page({ words: 'private' }))).toEqual([]);
    expect(numbers(await page({ words: 'gone1' }))).toEqual([]);
  });

  it('stays within the shop', async () => {
    const stranger = await secondShop(server);
    expect(numbers(await page({ words: 'marguer' }, stranger))).toEqual([]);
  });

  it.each([
    { words: 'x'.repeat(101) },
    { before: 'yesterday' },
    { before: '-1' },
    { all: 'maybe' },
  ])('refuses %j', async (query) => {
    await agent.get('/api/visits').query(query).expect(400);
  });
});

describe('pages of all visits', () => {
  it('hold every visit once, latest first, also where several arrived in the same moment', async () => {
    const rows = await asOwner<{ number: number }>(
      server,
      `with last as (select max(number) as n, (array_agg(shop_id))[1] as shop, (array_agg(vehicle_id))[1] as car
                     from visits where shop_id = (select id from shops where name = 'Test Tires'))
       insert into visits (id, shop_id, vehicle_id, number, arrived_at, draft, seq)
       select gen_random_uuid(), shop, car, n + i, now() - make_interval(days => i / 7), '{}', 0
       from last, generate_series(1, 120) as i returning number`,
    );
    for (const query of [{}, { words: '#' }]) {
      const seen: number[] = [];
      let before: number | null = null;
      let pages = 0;
      do {
        const next: VisitPage = await page(before === null ? query : { ...query, before });
        seen.push(...numbers(next));
        before = next.before;
        pages++;
      } while (before !== null);
      expect(new Set(seen).size).toBe(seen.length);
      for (const { number } of rows) expect(seen).toContain(number);
      expect(pages).toBe(Math.ceil(seen.length / 50));
    }
    const first = await page({});
    const times = first.visits.map(({ arrivedAt }) => arrivedAt);
    expect(times).toEqual(times.toSorted().toReversed());
  });
});

describe('a word that thousands of visits share', () => {
  it('is found in order and once each, among the latest first and then among all', async () => {
    const car = await arrive(agent, 'WINTER');
    // 3,500 visits in the snow, 2,500 later ones of which ten were.
    await asOwner(
      server,
      `insert into visits (id, shop_id, vehicle_id, number, arrived_at, draft, seq)
       select gen_random_uuid(), shop_id, vehicle_id, 200000 + i, now() - make_interval(mins => 10000 - i),
         jsonb_build_object('visit', jsonb_build_object('words',
           case when i <= 3500 or i % 250 = 0 then 'slides in snow' else 'hums' end)), 0
       from visits, generate_series(1, 6000) as i where id = $1 order by i`,
      [car.id],
    );
    await asOwner(server, 'analyze visit_search');
    const expected = Array.from({ length: 6000 }, (_, i) => 6000 - i)
      .filter((i) => i <= 3500 || i % 250 === 0)
      .map((i) => 200_000 + i);
    const seen: number[] = [];
    let before: number | null = null;
    for (let i = 0; i < 4; i++) {
      const next: VisitPage = await page(
        before === null ? { words: 'snow' } : { words: 'snow', before },
      );
      seen.push(...numbers(next));
      before = next.before;
    }
    expect(seen).toEqual(expected.slice(0, 200));
    // Rare beside common: nothing of the latest fits.
    expect(numbers(await page({ words: 'snow #200007' }))).toEqual([200_007]);
    expect(numbers(await page({ words: 'hums #200007' }))).toEqual([]);
  });
});

describe('the due list', () => {
  const reminder = (on: string, what = 'tread') => ({ what, on, afterKm: null, state: 'open' });
  const due = async (query: object): Promise<DuePage> =>
    duePageSchema.parse((await agent.get('/api/due').query(query).expect(200)).body);

  it('comes page by page, soonest first, up to a day', async () => {
    const visit = await arrive(agent, 'DUE 0');
    const days = Array.from({ length: 12 }, (_, i) => `2027-01-${String(i + 1).padStart(2, '0')}`);
    await put(visit, { 'visit.handOver.next': days.map((day) => reminder(day)) });
    await asOwner(
      server,
      `with cars as (
         insert into vehicles (id, shop_id, plate, plate_key, label, customer)
         select gen_random_uuid(), (select shop_id from visits where id = $1), 'D ' || i, 'D' || i, '', ''
         from generate_series(1, 150) as i returning id, shop_id
       )
       insert into visits (id, shop_id, vehicle_id, number, draft, seq)
       select gen_random_uuid(), shop_id, id, 100000 + row_number() over (), $2, 0 from cars`,
      [visit.id, JSON.stringify({ visit: { handOver: { next: [reminder('2027-01-03')] } } })],
    );
    const first = await due({ until: '2027-01-05' });
    expect(first.rows).toHaveLength(100);
    const second = await due({ until: '2027-01-05', after: first.after });
    expect(second.after).toBeNull();
    const rows = [...first.rows, ...second.rows];
    expect(rows).toHaveLength(155);
    expect(new Set(rows.map(({ visitId, place }) => `${visitId} ${place}`)).size).toBe(155);
    expect(rows.map((row) => row.reminder.on)).toEqual(
      rows.map((row) => row.reminder.on).toSorted(),
    );
  });

  it('forgets what is done, and what a later list of the car leaves out', async () => {
    const visit = await arrive(agent, 'DUE 1');
    const of = async () =>
      (await due({ until: '2026-12-31' })).rows
        .filter(({ plate }) => plate === 'DUE 1')
        .map((row) => row.reminder.what);
    await put(visit, {
      'visit.handOver.next': [reminder('2026-05-01', 'nuts'), reminder('2026-06-01', 'recheck')],
    });
    expect(await of()).toEqual(['nuts', 'recheck']);
    await put(visit, {
      'visit.handOver.next': [
        { ...reminder('2026-05-01', 'nuts'), state: 'done' },
        reminder('2026-06-01', 'recheck'),
      ],
    });
    expect(await of()).toEqual(['recheck']);
    const later = await arrive(agent, 'DUE 1');
    expect(later.vehicle.id).toBe(visit.vehicle.id);
    await put(later, { 'visit.handOver.next': [reminder('2026-07-01', 'rotation')] });
    // The earlier visit is not the last word any more.
    await put(visit, { 'visit.handOver.next': [reminder('2026-05-01', 'nuts')] });
    expect(await of()).toEqual(['rotation']);
  });

  it.each([{ until: 'soon' }, { after: '2026-01-01' }, { after: '2026-01-01.1.x' }])(
    'refuses %j',
    async (query) => {
      await agent.get('/api/due').query(query).expect(400);
    },
  );
});

describe('lines of tires', () => {
  it('have the depth of the visit that came last, whatever was typed last', async () => {
    const [older, newer] = [await arrive(agent), await arrive(agent)];
    const say = (visit: Visit, depth: number) =>
      put(visit, { 'visit.tires.lf.line': 'Harbour 4S', 'tires.lf.newDepth': depth });
    await say(newer, 8.3);
    await say(older, 7.9);
    const lines = bodyOf<TireLine[]>(await agent.get('/api/tire-lines').expect(200));
    expect(lines).toContainEqual({ line: 'Harbour 4S', newDepth: 8.3 });
  });
});
