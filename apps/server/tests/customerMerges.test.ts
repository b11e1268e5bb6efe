import { randomUUID } from 'node:crypto';
import type { CarDetail, CustomerDetail, CustomerPage, StoredPage, Visit } from '@keen/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import {
  agentOf,
  asOwner,
  bodyOf,
  broughtElsewhere,
  createDatabase,
  entry,
  secondShop,
  serve,
  setUpShop,
} from './testServer.ts';
import type { Agent } from './testServer.ts';

let server: RunningServer;
let agent: Agent;
let other: Agent;
beforeAll(async () => {
  server = await serve(await createDatabase());
  agent = agentOf(server);
  await setUpShop(agent);
  other = await secondShop(server);
});
afterAll(() => server.close());

async function carOf(plate: string, customer: string, phone = '', who = agent): Promise<Visit> {
  const response = await who
    .post('/api/visits')
    .send({
      id: randomUUID(),
      vehicle: { id: randomUUID(), plate, label: 'Van', customer },
      entries: [],
    })
    .expect(200);
  const visit = bodyOf<Visit>(response);
  if (phone !== '') {
    await who.put(`/api/vehicles/${visit.vehicle.id}`).send({ phone }).expect(200);
  }
  return visit;
}
const customers = async (query: object = {}, who = agent) =>
  bodyOf<CustomerPage>(await who.get('/api/customers').query(query).expect(200));
const customer = async (carId: string) =>
  bodyOf<CustomerDetail>(await agent.get(`/api/garage/${carId}/customer`).expect(200));
const nameOn = async (carId: string) =>
  bodyOf<CarDetail>(await agent.get(`/api/garage/${carId}`).expect(200)).vehicle.customer;

describe('customers', () => {
  it('are everybody of one name, however it is written, in order of their names', async () => {
    const first = await carOf('AA 1', 'Harbour Taxi Company', '0123 555 010');
    await carOf('AA 2', 'harbour  taxi company');
    await carOf('AA 3', 'Zoe Zander');
    await carOf('AA 4', 'Amy Abel');
    await carOf('AA 5', '');
    await carOf('BB 1', 'Not Ours', '', other);
    const { rows, after } = await customers();
    expect(rows.map(({ name, cars }) => [name.toLowerCase().replace(/ +/g, ' '), cars])).toEqual([
      ['amy abel', 1],
      ['harbour taxi company', 2],
      ['zoe zander', 1],
    ]);
    expect(after).toBeNull();
    expect(rows[1]!.phone).toBe('0123 555 010');
    const found = await customers({ words: '555010' });
    expect(found.rows.map(({ carId }) => carId)).toContain(
      (await customer(first.vehicle.id)).carId,
    );
    expect((await customers({ words: 'nobody' })).rows).toEqual([]);
  });

  it('come page by page, each once', async () => {
    const ids = Array.from({ length: 120 }, () => randomUUID());
    for (const [i, id] of ids.entries()) {
      await asOwner(
        server,
        `insert into vehicles (id, shop_id, plate, plate_key, label, customer)
         values ($1, (select shop_id from vehicles where plate = 'AA 1'), $2, $2, 'Car', $3)`,
        [id, `PAGE${i}`, `Paged ${String(i).padStart(3, '0')}`],
      );
    }
    const seen: string[] = [];
    let after: string | null = null;
    do {
      const page: CustomerPage = await customers(after === null ? {} : { after });
      seen.push(...page.rows.map(({ name }) => name));
      after = page.after;
    } while (after !== null);
    expect(seen).toHaveLength(123);
    expect(new Set(seen).size).toBe(123);
    await asOwner(server, `delete from vehicles where plate like 'PAGE%'`);
  });
});

describe('a customer entered twice', () => {
  it('is offered by telephone or by a slip of typing, and by nothing else', async () => {
    const own = await carOf('CC 1', 'Mill Street Bakery', '0123 555 020');
    const slip = await carOf('CC 2', 'Mill Street Bakrey');
    const turned = await carOf('CC 3', 'Bakery Mill Street');
    const phone = await carOf('CC 4', 'J. Baker', '0123-555020');
    await carOf('CC 5', 'Mill Street Butcher');
    const { doubles } = await customer(own.vehicle.id);
    const ids = doubles.map(({ carId }) => carId);
    expect(ids).toContain(slip.vehicle.id);
    expect(ids).toContain(turned.vehicle.id);
    expect(ids).toContain(phone.vehicle.id);
    expect(doubles.map(({ name }) => name)).not.toContain('Mill Street Butcher');
  });

  it('is joined and taken apart again, and a name that was joined leads on', async () => {
    const own = await carOf('DD 1', 'Quay Couriers');
    const one = await carOf('DD 2', 'Quai Couriers');
    const two = await carOf('DD 3', 'QUAI COURIERS');
    const id = randomUUID();
    const path = `/api/garage/${own.vehicle.id}/customer/merges`;
    const order = { id, carId: one.vehicle.id };
    const joined = bodyOf<CustomerDetail>(await agent.post(path).send(order).expect(200));
    expect(joined).toMatchObject({ name: 'Quay Couriers', cars: 3 });
    expect(joined.merges).toMatchObject([{ id, cars: 2 }]);
    // Asked again with the same id nothing more happens; with another they are one already.
    await agent.post(path).send(order).expect(200);
    await agent
      .post(path)
      .send({ ...order, id: randomUUID() })
      .expect(409);

    const later = await carOf('DD 4', 'Quai Couriers');
    expect(await nameOn(later.vehicle.id)).toBe('Quay Couriers');
    const moved = await carOf('DD 5', 'Somebody');
    await agent
      .put(`/api/vehicles/${moved.vehicle.id}`)
      .send({ customer: 'quai couriers' })
      .expect(200);
    expect(await nameOn(moved.vehicle.id)).toBe('Quay Couriers');
    // One that was sold meanwhile is not taken back.
    await agent
      .put(`/api/vehicles/${two.vehicle.id}`)
      .send({ customer: 'A New Owner' })
      .expect(200);

    const apart = bodyOf<CustomerDetail>(await agent.delete(`${path}/${id}`).expect(200));
    expect(apart).toMatchObject({ cars: 3, merges: [] });
    expect(await nameOn(one.vehicle.id)).toBe('Quai Couriers');
    expect(await nameOn(two.vehicle.id)).toBe('A New Owner');
    expect(await nameOn(later.vehicle.id)).toBe('Quay Couriers');
    await agent.delete(`${path}/${id}`).expect(404);
    // The name leads nowhere any more.
    expect(await nameOn((await carOf('DD 6', 'Quai Couriers')).vehicle.id)).toBe('Quai Couriers');
  });

  it('is no other shop’s to join', async () => {
    const theirs = await carOf('EE 1', 'Across The Wall', '', other);
    const own = await carOf('EE 2', 'Across The Wal');
    await agent
      .post(`/api/garage/${own.vehicle.id}/customer/merges`)
      .send({ id: randomUUID(), carId: theirs.vehicle.id })
      .expect(404);
    await agent.get(`/api/garage/${theirs.vehicle.id}/customer`).expect(404);
    expect((await customer(own.vehicle.id)).doubles).toEqual([]);
  });

  it('is forgotten with the customer', async () => {
    const own = await carOf('FF 1', 'Forget Me Soon');
    const twin = await carOf('FF 2', 'Forgett Me Soon');
    await agent
      .post(`/api/garage/${own.vehicle.id}/customer/merges`)
      .send({ id: randomUUID(), carId: twin.vehicle.id })
      .expect(200);
    for (const { vehicle } of [own, twin]) {
      await agent.delete(`/api/customers/${vehicle.id}`).expect(204);
    }
    const left = await asOwner<{ text: string }>(
      server,
      'select customer_merges::text as text from customer_merges',
    );
    expect(left.map(({ text }) => text).join(' ')).not.toMatch(/forget/i);
  });
});

describe('the archive', () => {
  it('brings joined names along', async () => {
    const own = await carOf('GG 1', 'Long Lane Motors');
    const twin = await carOf('GG 2', 'Long Lane Motor');
    await agent
      .post(`/api/garage/${own.vehicle.id}/customer/merges`)
      .send({ id: randomUUID(), carId: twin.vehicle.id })
      .expect(200);
    await broughtElsewhere(agent, async (lead) => {
      const { merges } = bodyOf<CustomerDetail>(
        await lead.get(`/api/garage/${own.vehicle.id}/customer`).expect(200),
      );
      expect(merges).toMatchObject([{ name: 'Long Lane Motor', cars: 1 }]);
      const again = await carOf('GG 3', 'long lane motor', '', lead);
      expect(again.vehicle.customer).toBe('Long Lane Motors');
    });
  });
});

describe('stored tires', () => {
  const stored = (change: object = {}) =>
    entry('visit.handOver.stored', {
      place: 'Rack B 12',
      count: 4,
      season: 'winter',
      size: '205/55R16',
      onRims: true,
      since: '2026-04-02',
      ...change,
    });
  const list = async (query: object = {}) =>
    bodyOf<StoredPage>(await agent.get('/api/stored-tires').query(query).expect(200));
  const save = (visit: Visit, one: object) =>
    agent
      .post(`/api/visits/${visit.id}/entries`)
      .send({ entries: [one] })
      .expect(200);

  it('are listed by the latest visit of their car until they are handed out', async () => {
    const first = await carOf('HH 1', 'Winter Owner');
    const second = await carOf('HH 2', 'Summer Owner');
    await save(first, stored());
    await save(second, stored({ place: 'Attic 3', season: 'summer', since: '2026-11-02' }));
    expect(
      (await list()).rows.map(({ vehicle, stored: one }) => [vehicle.plate, one.place]),
    ).toEqual([
      ['HH 2', 'Attic 3'],
      ['HH 1', 'Rack B 12'],
    ]);
    for (const words of ['b 12', 'winter owner', 'HH1 rack']) {
      expect((await list({ words })).rows.map(({ vehicle }) => vehicle.plate)).toEqual(['HH 1']);
    }
    // The next visit knows of them, and gives them out.
    const again = bodyOf<Visit>(
      await agent
        .post('/api/visits')
        .send({ id: randomUUID(), vehicle: { id: first.vehicle.id }, entries: [] })
        .expect(200),
    );
    expect(again.draft.visit?.handOver?.stored?.place).toBe('Rack B 12');
    expect((await list()).rows).toHaveLength(2);
    await save(again, entry('visit.handOver.stored', null));
    expect((await list()).rows.map(({ vehicle }) => vehicle.plate)).toEqual(['HH 2']);
  });

  it('refuse what no page ended with, and a place without a name', async () => {
    await agent.get('/api/stored-tires').query({ after: "'; drop table visits" }).expect(400);
    const visit = await carOf('HH 3', 'Nowhere');
    await agent
      .post(`/api/visits/${visit.id}/entries`)
      .send({ entries: [stored({ place: ' ' })] })
      .expect(400);
  });
});
