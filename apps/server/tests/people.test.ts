import { randomUUID } from 'node:crypto';
import type {
  AuditPage,
  OwnSession,
  PasswordLink,
  RecoveryCodes,
  Session,
  StaffMember,
} from '@keen/contract';
import { Secret, TOTP } from 'otpauth';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import { checkCode } from '../src/features/session/secondFactor.ts';
import { passwordFault } from '../src/people/passwordRules.ts';
import { agentOf, asOwner, bodyOf, createDatabase, LEAD, serve, setUpShop } from './testServer.ts';
import type { Agent } from './testServer.ts';

let server: RunningServer;
let lead: Agent;
beforeAll(async () => {
  server = await serve(await createDatabase());
  lead = agentOf(server);
  await setUpShop(lead);
});
afterAll(() => server.close());
// Tries of one test are none of the next one's.
beforeEach(() => asOwner(server, 'delete from sign_in_tries'));

const PASSWORD = 'seven grey gulls';
let last = 0;
/** A colleague who can sign in, and is. */
async function colleague(role = 'advisor'): Promise<{ id: string; email: string; agent: Agent }> {
  const [id, email] = [randomUUID(), `person${++last}@people.example`];
  const person = { id, name: `Person ${last}`, email, role, password: PASSWORD };
  await lead.post('/api/shop/people').send(person).expect(200);
  const agent = agentOf(server);
  await signIn(agent, email).expect(200);
  return { id, email, agent };
}
const signIn = (agent: Agent, email: string, password = PASSWORD, code?: string) =>
  agent.post('/api/session').send({ email, password, ...(code === undefined ? {} : { code }) });

/** The live line of a signed-in person: resolves when the server ends it. */
async function liveLine(agent: Agent, email: string): Promise<{ ended: Promise<void> }> {
  const response = await signIn(agent, email).expect(200);
  const cookie = response.headers['set-cookie']![0]!.split(';')[0]!;
  const stream = await fetch(`http://127.0.0.1:${server.port}/api/live`, { headers: { cookie } });
  expect(stream.status).toBe(200);
  const reader = stream.body!.getReader();
  const readAll = async () => {
    while (!(await reader.read()).done);
  };
  return { ended: readAll() };
}

describe('passwords', () => {
  // The first five head every published list of common passwords, as recalled from memory.
  it.each(['1234567890', 'password123', 'qwertyuiop', 'iloveyou12', 'letmein2020'])(
    '%s is easily guessed',
    (password) => expect(passwordFault(password, [])).not.toBeNull(),
  );

  it.each([
    ['mira.oland@shop.example', 'mira.oland@shop.example'],
    ['Mira Oland', 'miraoland1'],
    ['Mira Oland', 'Mira Oland'],
  ])('for %s, %s is easily guessed', (own, password) => {
    expect(passwordFault(password, [own])).not.toBeNull();
  });

  it.each(['correct horse battery', 'seven grey gulls', 'tR7#kkq_9vVz'])(
    '%s will do',
    (password) => {
      expect(passwordFault(password, ['Mira Oland'])).toBeNull();
    },
  );

  it('is changed by its owner, who is asked for the old one; other sessions end', async () => {
    const { email, agent } = await colleague();
    const other = agentOf(server);
    const { ended } = await liveLine(other, email);
    const put = (old: string, password: string) =>
      agent.put('/api/session/password').send({ old, password });
    await put('not it at all', 'four brown boats').expect(400);
    await put(PASSWORD, 'password123').expect(400);
    await put(PASSWORD, 'four brown boats').expect(204);
    await ended;
    await other.get('/api/session').expect(401);
    await agent.get('/api/session').expect(200);
    await signIn(agentOf(server), email).expect(401);
    await signIn(agentOf(server), email, 'four brown boats').expect(200);
  });

  it('is chosen by a link, once, and not after its end', async () => {
    const [id, email] = [randomUUID(), 'invited@people.example'];
    const added = bodyOf<StaffMember>(
      await lead
        .post('/api/shop/people')
        .send({ id, name: 'Ivy', email, role: 'technician' })
        .expect(200),
    );
    expect(added.hasPassword).toBe(false);
    const makeLink = async () =>
      bodyOf<PasswordLink>(await lead.post(`/api/shop/people/${id}/password-link`).expect(200))
        .token;
    const [old, token] = [await makeLink(), await makeLink()];
    const guest = agentOf(server);
    await guest.get(`/api/password-links/${old}`).expect(404);
    expect((await guest.get(`/api/password-links/${token}`).expect(200)).body).toEqual({
      name: 'Ivy',
      email,
      shopName: LEAD.shopName,
    });
    const choose = (password: string) =>
      guest.post(`/api/password-links/${token}`).send({ password });
    await choose('invited@people.example').expect(400);
    await choose(PASSWORD).expect(204);
    await choose(PASSWORD).expect(404);
    await signIn(agentOf(server), email).expect(200);
    // The table holds no secret that would open anything.
    const rows = await asOwner<{ hash: string }>(server, 'select hash from password_links');
    expect(rows.some(({ hash }) => hash === token)).toBe(false);
    const late = await makeLink();
    await asOwner(server, `update password_links set ends_at = now() - interval '1 second'`);
    await guest.get(`/api/password-links/${late}`).expect(404);
  });
});

describe('people', () => {
  it('keep their sessions with a new role, which holds from the next request', async () => {
    const { id, agent } = await colleague();
    await agent.get('/api/shop/audit').expect(403);
    await lead.put(`/api/shop/people/${id}`).send({ role: 'lead' }).expect(200);
    await agent.get('/api/shop/audit').expect(200);
    await lead.put(`/api/shop/people/${id}`).send({ role: 'advisor' }).expect(200);
    await agent.get('/api/shop/audit').expect(403);
  });

  it('are suspended at once, streams and all, and taken back', async () => {
    const { id, email, agent } = await colleague();
    const { ended } = await liveLine(agentOf(server), email);
    await lead.put(`/api/shop/people/${id}`).send({ suspended: true }).expect(200);
    await ended;
    await agent.get('/api/session').expect(401);
    await signIn(agentOf(server), email).expect(403);
    await lead.put(`/api/shop/people/${id}`).send({ suspended: false }).expect(200);
    await signIn(agentOf(server), email).expect(200);
  });

  it('always have a lead who can sign in', async () => {
    const { person } = bodyOf<Session>(await lead.get('/api/session').expect(200));
    const change = (id: string, body: object) => lead.put(`/api/shop/people/${id}`).send(body);
    for (const body of [{ role: 'advisor' }, { suspended: true }]) {
      expect((await change(person.id, body).expect(409)).body).toMatchObject({ code: 'last_lead' });
    }
    const second = await colleague('lead');
    await change(second.id, { suspended: true }).expect(200);
    await change(person.id, { role: 'advisor' }).expect(409);
    await change(second.id, { suspended: false }).expect(200);
    await signIn(second.agent, second.email).expect(200);
    // Both step down at once: one of them stays.
    const answers = await Promise.all([
      change(person.id, { role: 'advisor' }),
      second.agent.put(`/api/shop/people/${second.id}`).send({ role: 'advisor' }),
    ]);
    expect(answers.map(({ status }) => status).toSorted()).toEqual([200, 409]);
    await asOwner(server, `update people set role = 'lead' where id = $1`, [person.id]);
    await asOwner(
      server,
      `update session set sess = jsonb_set(sess::jsonb, '{role}', '"lead"')::json where sess->>'personId' = $1`,
      [person.id],
    );
  });

  it('see where they are signed in, and sign out everywhere else', async () => {
    const { email, agent } = await colleague();
    const other = agentOf(server);
    await other
      .post('/api/session')
      .set('user-agent', 'A tablet in the bay')
      .send({ email, password: PASSWORD })
      .expect(200);
    const list = bodyOf<OwnSession[]>(await agent.get('/api/session/all').expect(200));
    expect(list.map(({ agent: name, isThis }) => [name, isThis])).toContainEqual([
      'A tablet in the bay',
      false,
    ]);
    expect(list.filter(({ isThis }) => isThis)).toHaveLength(1);
    await agent.delete('/api/session/others').expect(204);
    await other.get('/api/session').expect(401);
    await agent.get('/api/session').expect(200);
  });

  it('end their streams when they sign out', async () => {
    const { email } = await colleague();
    const agent = agentOf(server);
    const { ended } = await liveLine(agent, email);
    await agent.delete('/api/session').expect(204);
    await ended;
    await agent.get('/api/session').expect(401);
    // Signing out twice is no error: a tablet tells the server late.
    await agent.delete('/api/session').expect(204);
  });
});

describe('tries to sign in', () => {
  it('are counted before they are checked: of many at once no more than five are looked at', async () => {
    const { email } = await colleague();
    const answers = await Promise.all(
      Array.from({ length: 40 }, () => signIn(agentOf(server), email, 'wrong password')),
    );
    const looked = answers.filter(({ status }) => status === 401).length;
    expect(looked).toBeLessThanOrEqual(5);
    expect(answers.every(({ status }) => status === 401 || status === 429)).toBe(true);
  });

  it('of others keep nobody out who has signed in from here before', async () => {
    const { email } = await colleague();
    await asOwner(
      server,
      `insert into sign_in_tries (email, address)
       select $1, '10.0.0.' || n from generate_series(1, 200) as n`,
      [email],
    );
    await signIn(agentOf(server), email).expect(200);
    const stranger = 'nobody@people.example';
    await asOwner(
      server,
      `insert into sign_in_tries (email, address)
       select $1, '10.0.0.' || n from generate_series(1, 200) as n`,
      [stranger],
    );
    await signIn(agentOf(server), stranger).expect(429);
  });

  it('are forgotten after a quarter of an hour', async () => {
    const { email } = await colleague();
    for (let i = 0; i < 5; i++) await signIn(agentOf(server), email, 'wrong password').expect(401);
    const blocked = await signIn(agentOf(server), email).expect(429);
    expect(blocked.headers['retry-after']).toBe('900');
    await asOwner(server, `update sign_in_tries set at = now() - interval '16 minutes'`);
    await signIn(agentOf(server), email).expect(200);
    const [row] = await asOwner<{ n: number }>(
      server,
      'select count(*)::int as n from sign_in_tries',
    );
    expect(row!.n).toBe(0);
  });
});

describe('the second factor', () => {
  /** RFC 6238, appendix B: SHA-1 with the secret "12345678901234567890"; the last six of eight digits. */
  it.each([
    [59, '287082'],
    [1_111_111_109, '081804'],
    [1_111_111_111, '050471'],
    [1_234_567_890, '005924'],
    [2_000_000_000, '279037'],
    [20_000_000_000, '353130'],
  ])('at %d s takes %s', (seconds, code) => {
    const secret = Secret.fromUTF8('12345678901234567890').base32;
    const step = Math.floor(seconds / 30);
    expect(checkCode(secret, code, null, seconds * 1000)).toBe(step);
    expect(checkCode(secret, code, step, seconds * 1000)).toBeNull();
    expect(checkCode(secret, code, null, (seconds + 120) * 1000)).toBeNull();
  });

  const codeAt = (secret: string, timestamp = Date.now()) =>
    new TOTP({ secret: Secret.fromBase32(secret) }).generate({ timestamp });

  it('is set up with a first code, asked for from then on, and never takes a code twice', async () => {
    const { email, agent } = await colleague();
    const { secret } = bodyOf<{ secret: string }>(
      await agent.post('/api/session/second-factor').expect(200),
    );
    const confirm = (code: string) =>
      agent.put('/api/session/second-factor').send({ secret, code });
    await confirm('000000').expect(400);
    const first = codeAt(secret);
    const { codes } = bodyOf<RecoveryCodes>(await confirm(first).expect(200));
    expect(new Set(codes).size).toBe(10);

    const guest = agentOf(server);
    expect((await signIn(guest, email).expect(401)).body).toMatchObject({ code: 'code_needed' });
    expect((await signIn(guest, email, PASSWORD, first).expect(401)).body).toMatchObject({
      code: 'wrong_code',
    });
    await asOwner(server, 'delete from sign_in_tries');
    await signIn(guest, email, PASSWORD, codeAt(secret, Date.now() + 30_000)).expect(200);
    await signIn(agentOf(server), email, PASSWORD, codes[3]).expect(200);
    await signIn(agentOf(server), email, PASSWORD, codes[3]).expect(401);
    await agent.post('/api/session/second-factor/off').send({ password: 'wrong' }).expect(400);
    await agent.post('/api/session/second-factor/off').send({ password: PASSWORD }).expect(204);
    await signIn(agentOf(server), email).expect(200);
  });

  it('that a shop asks of its leads comes before anything else', async () => {
    const second = await colleague('lead');
    await lead.put('/api/shop/settings').send({ secondFactorForLeads: true }).expect(200);
    try {
      const agent = agentOf(server);
      const session = bodyOf<Session>(await signIn(agent, second.email).expect(200));
      expect(session.account.mustSetUpSecondFactor).toBe(true);
      expect((await agent.get('/api/visits').expect(403)).body).toMatchObject({
        code: 'second_factor_needed',
      });
      const { secret } = bodyOf<{ secret: string }>(
        await agent.post('/api/session/second-factor').expect(200),
      );
      await agent
        .put('/api/session/second-factor')
        .send({ secret, code: codeAt(secret) })
        .expect(200);
      await agent.get('/api/visits').expect(200);
    } finally {
      await lead.put('/api/shop/settings').send({ secondFactorForLeads: false }).expect(200);
    }
  });
});

describe('the log', () => {
  it('says who did what, to the lead alone, page by page, and cannot be changed', async () => {
    const { id, email } = await colleague();
    await signIn(agentOf(server), email, 'wrong password').expect(401);
    const { events, next } = bodyOf<AuditPage>(await lead.get('/api/shop/audit').expect(200));
    expect(events.length).toBeLessThanOrEqual(100);
    expect(events[0]).toMatchObject({ kind: 'signInFailed', personId: id });
    expect(events.find(({ kind }) => kind === 'personAdded')).toMatchObject({
      detail: { personId: id },
    });
    await asOwner(
      server,
      `insert into audit_log (shop_id, kind, detail, address)
       select shop_id, 'backup', '{}', '' from people, generate_series(1, 120) where id = $1`,
      [id],
    );
    const first = bodyOf<AuditPage>(await lead.get('/api/shop/audit').expect(200));
    expect(first.events).toHaveLength(100);
    const second = bodyOf<AuditPage>(
      await lead.get('/api/shop/audit').query({ before: first.next }).expect(200),
    );
    expect(second.events[0]!.id).toBeLessThan(first.events.at(-1)!.id);
    expect(next === null || typeof next === 'number').toBe(true);
    for (const statement of ['update audit_log set kind = kind', 'delete from audit_log']) {
      await expect(server.context.pool.query(statement)).rejects.toThrow(/permission denied/);
    }
  });
});
