import { randomUUID } from 'node:crypto';
import type { Session, StaffMember } from '@keen/contract';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import {
  agentOf,
  arrive,
  asOwner,
  bodyOf,
  createDatabase,
  LEAD,
  secondShop,
  serve,
  setUpShop,
} from './testServer.ts';
import type { Agent } from './testServer.ts';

let server: RunningServer;
let lead: Agent;
/** Of another shop of the installation. */
let stranger: Agent;
let here: Session;
let there: Session;
beforeAll(async () => {
  server = await serve(await createDatabase());
  lead = agentOf(server);
  here = await setUpShop(lead);
  stranger = await secondShop(server);
  there = bodyOf<Session>(await stranger.get('/api/session').expect(200));
});
afterAll(() => server.close());
beforeEach(() => asOwner(server, 'delete from sign_in_tries'));

const PASSWORD = 'seven grey gulls';
const EMAIL = 'cleo@both.example';
const signIn = async (agent: Agent, password = PASSWORD) =>
  bodyOf<Session>(await agent.post('/api/session').send({ email: EMAIL, password }).expect(200));
const worksAlso = (shopId: string, role: string) =>
  asOwner(
    server,
    `insert into people (id, shop_id, account_id, name, role, preferences)
     select gen_random_uuid(), $1, id, 'Cleo Both', $2, '{}' from accounts where email = $3`,
    [shopId, role, EMAIL],
  );

describe('somebody who works in two shops', () => {
  let cleo: Agent;
  let id: string;
  beforeAll(async () => {
    id = randomUUID();
    const person = { id, name: 'Cleo Both', email: EMAIL, role: 'advisor', password: PASSWORD };
    await lead.post('/api/shop/people').send(person).expect(200);
    await worksAlso(there.shop.id, 'technician');
    cleo = agentOf(server);
    const session = await signIn(cleo);
    expect(session.shops.map(({ name, role }) => [name, role])).toEqual([
      ['Other Tires', 'technician'],
      ['Test Tires', 'advisor'],
    ]);
  });

  it('changes between them, and sees and may do in each what belongs there', async () => {
    const visit = await arrive(lead);
    await cleo.get(`/api/visits/${visit.id}`).expect(200);
    const changed = bodyOf<Session>(
      await cleo.put('/api/session/shop').send({ shopId: there.shop.id }).expect(200),
    );
    expect(changed.shop.name).toBe('Other Tires');
    expect(changed.person.role).toBe('technician');
    expect(changed.person.id).not.toBe(id);
    await cleo.get(`/api/visits/${visit.id}`).expect(404);
    // Sheets are a technician's, and an advisor's in the other shop not.
    await cleo
      .put('/api/shop/settings')
      .send({ hubShims: [1] })
      .expect(200);
    await cleo.put('/api/session/shop').send({ shopId: here.shop.id }).expect(200);
    await cleo
      .put('/api/shop/settings')
      .send({ hubShims: [1] })
      .expect(403);
    await cleo.get(`/api/visits/${visit.id}`).expect(200);
  });

  it('starts where they worked last', async () => {
    await cleo.put('/api/session/shop').send({ shopId: there.shop.id }).expect(200);
    expect((await signIn(agentOf(server))).shop.id).toBe(there.shop.id);
    await cleo.put('/api/session/shop').send({ shopId: here.shop.id }).expect(200);
    expect((await signIn(agentOf(server))).shop.id).toBe(here.shop.id);
  });

  it('has a session of its own in each: the one that is left is over, and its stream ends', async () => {
    const response = await agentOf(server)
      .post('/api/session')
      .send({ email: EMAIL, password: PASSWORD })
      .expect(200);
    const cookie = response.headers['set-cookie']![0]!.split(';')[0]!;
    const ask = (path: string, init: RequestInit = {}) =>
      fetch(`http://127.0.0.1:${server.port}/api${path}`, {
        ...init,
        headers: { cookie, 'content-type': 'application/json' },
      });
    const stream = await ask('/live');
    const reader = stream.body!.getReader();
    await ask('/session/shop', {
      method: 'PUT',
      body: JSON.stringify({ shopId: there.shop.id }),
    });
    while (!(await reader.read()).done);
    expect((await ask('/session')).status).toBe(401);
  });

  it('is suspended in one and goes on in the other', async () => {
    await cleo.put('/api/session/shop').send({ shopId: there.shop.id }).expect(200);
    await lead.put(`/api/shop/people/${id}`).send({ suspended: true }).expect(200);
    const session = bodyOf<Session>(await cleo.get('/api/session').expect(200));
    expect(session.shops.map(({ name }) => name)).toEqual(['Other Tires']);
    await cleo.put('/api/session/shop').send({ shopId: here.shop.id }).expect(403);
    expect((await signIn(agentOf(server))).shop.id).toBe(there.shop.id);
    await lead.put(`/api/shop/people/${id}`).send({ suspended: false }).expect(200);
  });

  it('is let into neither by the other’s lead: password, link and second factor are their own', async () => {
    const path = `/api/shop/people/${id}`;
    const refused = { status: 409, code: 'shared_account' };
    for (const asked of [
      lead.put(`${path}/password`).send({ password: 'nine brown geese' }),
      lead.post(`${path}/password-link`).send({}),
      lead.put(path).send({ hasSecondFactor: false }),
    ]) {
      expect((await asked).body).toMatchObject(refused);
    }
    await signIn(agentOf(server));
    // What the shop's lead says of them in the shop still holds.
    const renamed = await lead.put(path).send({ name: 'Cleo Here' }).expect(200);
    expect(bodyOf<StaffMember>(renamed).name).toBe('Cleo Here');
  });

  it('ends the sessions of both shops with a new password', async () => {
    const [first, second] = [agentOf(server), agentOf(server)];
    await signIn(first);
    await signIn(second);
    await second.put('/api/session/shop').send({ shopId: there.shop.id }).expect(200);
    const password = 'nine brown geese';
    await first.put('/api/session/password').send({ old: PASSWORD, password }).expect(204);
    await second.get('/api/session').expect(401);
    await first.get('/api/session').expect(200);
  });
});

describe('somebody of one shop', () => {
  it('does not come into another', async () => {
    await lead.put('/api/session/shop').send({ shopId: there.shop.id }).expect(403);
    await lead.put('/api/session/shop').send({ shopId: randomUUID() }).expect(403);
    await lead.put('/api/session/shop').send({ shopId: 'x' }).expect(400);
  });

  it('is not taken in by another shop’s lead who knows their email', async () => {
    const person = { id: randomUUID(), name: 'Lea', email: LEAD.email, role: 'lead' };
    await stranger.post('/api/shop/people').send(person).expect(409);
    const own = bodyOf<Session>(await lead.get('/api/session').expect(200));
    expect(own.shops).toHaveLength(1);
  });
});
