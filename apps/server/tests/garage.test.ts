import { randomUUID } from 'node:crypto';
import type { CarDetail, GaragePage, Visit, VisitPage } from '@keen/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { looksLikeSame } from '../src/features/garage/looksLikeSame.ts';
import type { RunningServer } from '../src/createServer.ts';
import {
  agentOf,
  archiveOf,
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
beforeAll(async () => {
  server = await serve(await createDatabase());
  agent = agentOf(server);
  await setUpShop(agent);
});
afterAll(() => server.close());

const page = async (query: object = {}, from = agent) =>
  bodyOf<GaragePage>(await from.get('/api/garage').query(query).expect(200));
const plates = ({ rows }: GaragePage) => rows.map(({ vehicle }) => vehicle.plate);
const detail = async (id: string) =>
  bodyOf<CarDetail>(await agent.get(`/api/garage/${id}`).expect(200));
const enter = (visit: Visit, ...entries: object[]) =>
  agent.post(`/api/visits/${visit.id}/entries`).send({ entries }).expect(200);
const again = async (vehicleId: string) =>
  bodyOf<Visit>(
    await agent
      .post('/api/visits')
      .send({ id: randomUUID(), vehicle: { id: vehicleId }, entries: [] })
      .expect(200),
  );
const call = (visit: Visit, customer: string, label = 'Test van') =>
  agent.put(`/api/vehicles/${visit.vehicle.id}`).send({ customer, label }).expect(200);

describe('the garage', () => {
  it('lists cars, the latest seen first, with their tread and what is due', async () => {
    const first = await arrive(agent, 'LIST 1');
    await arrive(agent, 'LIST 2');
    await again(first.vehicle.id);
    const latest = await again(first.vehicle.id);
    await enter(
      latest,
      ...toeInReadings(),
      entry('visit.handOver.next', [
        { what: 'tread', on: '2027-03-01', afterKm: null, state: 'open' },
        { what: 'nuts', on: '2027-01-02', afterKm: 100, state: 'open' },
      ]),
    );
    const list = await page();
    expect(plates(list)).toEqual(['LIST 1', 'LIST 2']);
    expect(list.rows[0]).toMatchObject({
      visits: 3,
      last: { number: latest.number, draft: { tires: { lf: { newDepth: 8 } } } },
      due: { what: 'nuts' },
    });
    expect(list.rows[1]).toMatchObject({ visits: 1, due: null });
    expect(list.after).toBeNull();
  });

  it('finds a car by the size of its tires, which are those of its latest visit', async () => {
    const visit = await arrive(agent, 'SIZE 1');
    const sizes = (size: string) =>
      (['lf', 'rf', 'lr', 'rr'] as const).map((wheel) => entry(`tires.${wheel}.size`, size));
    await enter(visit, ...sizes('205/55R16 91V'));
    expect(plates(await page({ words: '205/55R16' }))).toEqual(['SIZE 1']);
    const next = await again(visit.vehicle.id);
    await enter(next, ...sizes('225/45R17'));
    expect(plates(await page({ words: '205/55R16' }))).toEqual([]);
    expect(plates(await page({ words: '225/45 size' }))).toEqual(['SIZE 1']);
    // An old visit that is corrected says nothing of today's tires.
    await enter(visit, ...sizes('195/65R15'));
    expect(plates(await page({ words: '195/65R15' }))).toEqual([]);
  });

  it('pages through all of it, and through what fits, without losing or doubling a car', async () => {
    await asOwner(
      server,
      `insert into vehicles (id, shop_id, plate, plate_key, label, customer, last_visit_at)
       select gen_random_uuid(), shops.id, 'PG ' || n, 'PG' || n, 'Paged car', 'Pia Page', now() - n / 3 * interval '1 day'
       from shops, generate_series(1, 120) as n where shops.name = 'Test Tires'`,
    );
    for (const query of [{}, { words: 'paged' }]) {
      const seen: string[] = [];
      let after: string | null | undefined;
      do {
        const some = await page({ ...query, ...(after ? { after } : {}) });
        seen.push(...plates(some));
        after = some.after;
      } while (after);
      expect(new Set(seen).size).toBe(seen.length);
      expect(seen.filter((plate) => plate.startsWith('PG '))).toHaveLength(120);
    }
    for (const query of [
      { after: 'x' },
      { after: '50' },
      { words: 'paged', after: randomUUID() },
    ]) {
      await agent.get('/api/garage').query(query).expect(400);
    }
  });

  it('lists the cars of one customer, however the name was typed', async () => {
    const one = await arrive(agent, 'FLEET 1');
    const two = await arrive(agent, 'FLEET 2');
    await call(one, 'Brücke  Taxis');
    await call(two, 'brucke taxis');
    const list = await page({ customerOf: one.vehicle.id });
    expect(plates(list).toSorted()).toEqual(['FLEET 1', 'FLEET 2']);
    expect((await detail(one.vehicle.id)).customerCars).toBe(2);
    // Nobody's cars are not one customer's.
    const nobody = await arrive(agent, 'NOBODY 1');
    await call(nobody, '');
    expect(plates(await page({ customerOf: nobody.vehicle.id }))).toEqual([]);
  });

  it('shows a shop its own cars only', async () => {
    const visit = await arrive(agent, 'OWN 1');
    const other = await secondShop(server);
    expect((await page({}, other)).rows).toEqual([]);
    expect((await page({ words: 'own' }, other)).rows).toEqual([]);
    expect((await page({ customerOf: visit.vehicle.id }, other)).rows).toEqual([]);
    await other.get(`/api/garage/${visit.vehicle.id}`).expect(404);
    const mine = await arrive(other, 'OWN 1');
    const merge = { id: randomUUID(), vehicleId: visit.vehicle.id };
    await other.post(`/api/garage/${mine.vehicle.id}/merges`).send(merge).expect(404);
  });
});

describe('a car', () => {
  it('comes with all its visits and what is due of it', async () => {
    const visit = await arrive(agent, 'CAR 1');
    const later = await again(visit.vehicle.id);
    await enter(
      later,
      entry('visit.handOver.next', [
        { what: 'tread', on: '2027-03-01', afterKm: 5000, state: 'open' },
      ]),
    );
    const car = await detail(visit.vehicle.id);
    expect(car.visits.map(({ id }) => id)).toEqual([later.id, visit.id]);
    expect(car.due).toMatchObject([{ visitId: later.id, reminder: { what: 'tread' } }]);
    await agent.get(`/api/garage/${randomUUID()}`).expect(404);
  });

  it('that was entered twice is joined, found by either plate, and taken apart again', async () => {
    const right = await arrive(agent, 'JOIN 0B8');
    const wrong = await arrive(agent, 'JOIN OBB');
    await call(right, 'Jo Iner');
    await call(wrong, 'Jo Iner');
    await agent.put(`/api/vehicles/${wrong.vehicle.id}`).send({ phone: '555-0177' }).expect(200);
    await enter(
      wrong,
      entry('visit.handOver.next', [
        { what: 'nuts', on: '2027-02-01', afterKm: null, state: 'open' },
      ]),
    );
    const { doubles } = await detail(right.vehicle.id);
    expect(doubles.map(({ plate }) => plate)).toEqual(['JOIN OBB']);

    const merge = { id: randomUUID(), vehicleId: wrong.vehicle.id };
    const url = `/api/garage/${right.vehicle.id}/merges`;
    const joined = bodyOf<CarDetail>(await agent.post(url).send(merge).expect(200));
    // Sent twice joins once.
    await agent.post(url).send(merge).expect(200);
    expect(joined).toMatchObject({
      vehicle: { plate: 'JOIN 0B8', phone: '555-0177' },
      doubles: [],
      merges: [{ id: merge.id, vehicle: { plate: 'JOIN OBB' }, visits: 1 }],
      due: [{ visitId: wrong.id }],
    });
    expect(joined.visits.map(({ id }) => id)).toEqual([wrong.id, right.id]);
    // The other plate leads here: in the garage, by its id, in a search of visits, and on arrival.
    expect(plates(await page({ words: 'joinobb' }))).toEqual(['JOIN 0B8']);
    expect((await detail(wrong.vehicle.id)).vehicle.id).toBe(right.vehicle.id);
    const found = await agent.get('/api/visits').query({ all: 'true', words: 'join0b8' });
    expect(bodyOf<VisitPage>(found).visits).toHaveLength(2);
    const back = await arrive(agent, 'join obb');
    expect(back.vehicle.id).toBe(right.vehicle.id);
    await agent
      .post(`/api/garage/${wrong.vehicle.id}/merges`)
      .send({ id: randomUUID(), vehicleId: right.vehicle.id })
      .expect(409);

    await agent.delete(`${url}/${merge.id}`).expect(200);
    await agent.delete(`${url}/${merge.id}`).expect(404);
    const apart = await detail(wrong.vehicle.id);
    expect(apart.vehicle.plate).toBe('JOIN OBB');
    expect(apart.visits.map(({ id }) => id)).toEqual([wrong.id]);
    expect(apart.due).toHaveLength(1);
    const left = await detail(right.vehicle.id);
    // What arrived in between stays where it arrived.
    expect(left.visits.map(({ id }) => id)).toEqual([back.id, right.id]);
    expect(left.due).toEqual([]);
  });

  it('takes the plate of an entry that was joined to it', async () => {
    const old = await arrive(agent, 'OLD PLATE');
    const renewed = await arrive(agent, 'NEW PLATE');
    await agent
      .post(`/api/garage/${old.vehicle.id}/merges`)
      .send({ id: randomUUID(), vehicleId: renewed.vehicle.id })
      .expect(200);
    await agent.put(`/api/vehicles/${old.vehicle.id}`).send({ plate: 'NEW PLATE' }).expect(200);
    expect(plates(await page({ words: 'newplate' }))).toEqual(['NEW PLATE']);
    expect(plates(await page({ words: 'oldplate' }))).toEqual(['NEW PLATE']);
    const back = await arrive(agent, 'OLD PLATE');
    expect(back.vehicle.id).toBe(old.vehicle.id);
  });

  it('is erased with the entries that were joined to it', async () => {
    const kept = await arrive(agent, 'ERASE 1');
    const joined = await arrive(agent, 'ERASE 2');
    await call(joined, 'Erna Erased');
    await agent
      .post(`/api/garage/${kept.vehicle.id}/merges`)
      .send({ id: randomUUID(), vehicleId: joined.vehicle.id })
      .expect(200);
    await agent.delete(`/api/customers/${kept.vehicle.id}`).expect(204);
    const left = await asOwner(
      server,
      `select 1 from vehicles where search like '%erna%' or plate_key like 'ERASE2%'`,
    );
    expect(left).toEqual([]);
  });

  it('goes out and comes in again as it was joined', async () => {
    const source = await serve(await createDatabase());
    const target = await serve(await createDatabase());
    try {
      const from = agentOf(source);
      await setUpShop(from);
      const one = await arrive(from, 'ARCH 1');
      const two = await arrive(from, 'ARCH 2');
      const merge = { id: randomUUID(), vehicleId: two.vehicle.id };
      await from.post(`/api/garage/${one.vehicle.id}/merges`).send(merge).expect(200);
      const zip = await archiveOf(from);
      const to = agentOf(target);
      await setUpShop(to);
      const send = () =>
        to.post('/api/shop/archive').set('content-type', 'application/zip').send(zip).expect(200);
      await send();
      await send();
      const car = bodyOf<CarDetail>(await to.get(`/api/garage/${two.vehicle.id}`).expect(200));
      expect(car).toMatchObject({
        vehicle: { id: one.vehicle.id },
        merges: [{ id: merge.id, visits: 1 }],
      });
      await to.delete(`/api/garage/${one.vehicle.id}/merges/${merge.id}`).expect(200);
      const apart = bodyOf<CarDetail>(await to.get(`/api/garage/${two.vehicle.id}`).expect(200));
      expect(apart.visits.map(({ id }) => id)).toEqual([two.id]);
    } finally {
      await source.close();
      await target.close();
    }
  });
});

describe('what looks like the same car', () => {
  const car = (plateKey: string, more = {}) => ({
    plateKey,
    vin: '',
    label: 'Van',
    customerKey: 'gull line',
    ...more,
  });

  it.each([
    ['a letter taken for a digit', car('ABO1'), car('AB01'), true],
    ['two neighbours changed about', car('1234AB'), car('1243AB'), true],
    ['the next van of a fleet', car('418KQ'), car('419KQ'), false],
    ['two that are unlike', car('418KQ'), car('77XY'), false],
    ['another customer', car('ABO1'), car('AB01', { customerKey: 'oskar' }), false],
    ['nobody’s', car('ABO1', { customerKey: '' }), car('AB01', { customerKey: '' }), false],
    ['the same VIN', car('1', { vin: 'V' }), car('2', { vin: 'V', customerKey: '' }), true],
    ['two VINs', car('ABO1', { vin: 'V' }), car('AB01', { vin: 'W' }), false],
    ['a file without a plate', car('IMPORTA1B2'), car('418KQ'), true],
  ])('%s', (_what, a, b, isSame) => {
    expect(looksLikeSame(a, b)).toBe(isSame);
    expect(looksLikeSame(b, a)).toBe(isSame);
  });
});
