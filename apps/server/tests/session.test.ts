import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Session } from '@keen/contract';
import type { RunningServer } from '../src/createServer.ts';
import {
  asOwner,
  agentOf,
  bodyOf,
  createDatabase,
  LEAD,
  secondShop,
  serve,
  setUpShop,
} from './testServer.ts';

let server: RunningServer;
beforeAll(async () => {
  server = await serve(await createDatabase());
});
afterAll(() => server.close());

describe('front door', () => {
  it('offers setup while there is no shop, once', async () => {
    const agent = agentOf(server);
    const before = await agent.get('/api/welcome').expect(200);
    expect(before.body).toEqual({ needsSetup: true, demo: null });
    const session = await setUpShop(agent);
    expect(session.person.role).toBe('lead');
    await agentOf(server)
      .post('/api/setup')
      .send({ ...LEAD, email: 'b@test.example' })
      .expect(409);
  });

  it('answers 401 with a problem document until someone signs in', async () => {
    const response = await agentOf(server).get('/api/visits').expect(401);
    expect(response.type).toBe('application/problem+json');
    expect(response.body).toMatchObject({ code: 'unauthenticated', status: 401 });
  });

  it('keeps no password in the database, and hashes with Argon2id', async () => {
    const rows = await asOwner<{ password_hash: string }>(
      server,
      'select password_hash from accounts where email = $1',
      [LEAD.email],
    );
    expect(rows[0]?.password_hash).toMatch(/^\$argon2id\$/);
  });

  it('signs in with email and password, whatever the case of the email', async () => {
    const agent = agentOf(server);
    const response = await agent
      .post('/api/session')
      .send({ email: LEAD.email.toUpperCase(), password: LEAD.password })
      .expect(200);
    const cookie = response.get('set-cookie')?.[0] ?? '';
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Strict/);
    await agent.get('/api/session').expect(200);
    await agent.delete('/api/session').expect(204);
    await agent.get('/api/session').expect(401);
  });

  it('slows wrong tries down, for that email only', async () => {
    const wrong = (email: string) =>
      agentOf(server).post('/api/session').send({ email, password: 'wrong' });
    for (let i = 0; i < 5; i++) await wrong('guess@test.example').expect(401);
    await wrong('guess@test.example').expect(429);
    await wrong('other@test.example').expect(401);
  });

  it('names the field of bad input', async () => {
    const response = await agentOf(server)
      .post('/api/session')
      .send({ email: 'no address', password: '' })
      .expect(400);
    expect(
      (response.body as { errors: { path: string }[] }).errors.map(({ path }) => path),
    ).toEqual(['email', 'password']);
  });

  it('lets nobody in by one press but the demo staff', async () => {
    const agent = agentOf(server);
    const signedIn = await agent
      .post('/api/session')
      .send({ email: LEAD.email, password: LEAD.password });
    const { id } = bodyOf<Session>(signedIn).person;
    await agentOf(server).post('/api/session/demo').send({ personId: id }).expect(403);
    await secondShop(server);
  });

  it('keeps preferences with the person', async () => {
    const agent = agentOf(server);
    await agent.post('/api/session').send({ email: LEAD.email, password: LEAD.password });
    const preferences = {
      units: { depth: 'in32', distance: 'mi', pressure: 'psi' },
      readingOrder: 'axleByAxle',
      sound: false,
      theme: 'dark',
      paper: 'LETTER',
      toe: 'in',
    };
    await agent.put('/api/session/preferences').send(preferences).expect(200);
    const session = await agent.get('/api/session');
    expect(bodyOf<Session>(session).preferences).toEqual(preferences);
    await agent
      .put('/api/session/preferences')
      .send({ ...preferences, theme: 'pink' })
      .expect(400);
  });
});

describe('guards', () => {
  it('sends security headers with every answer', async () => {
    const { headers } = await agentOf(server).get('/api/welcome');
    expect(headers['content-security-policy']).toContain("default-src 'self'");
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['cache-control']).toBe('no-store');
    expect(headers).not.toHaveProperty('x-powered-by');
  });

  it('takes no changes from other sites', async () => {
    await agentOf(server)
      .post('/api/session')
      .set('sec-fetch-site', 'cross-site')
      .send({ email: LEAD.email, password: LEAD.password })
      .expect(403);
  });

  it('refuses bodies that are too large or no JSON', async () => {
    await agentOf(server)
      .post('/api/session')
      .send({ email: LEAD.email, password: 'x'.repeat(600_000) })
      .expect(413);
    const response = await agentOf(server)
      .post('/api/session')
      .type('json')
      .send('{broken')
      .expect(400);
    expect(response.body).toMatchObject({ code: 'not_json' });
  });

  it('knows no other paths', async () => {
    await agentOf(server).get('/api/nothing').expect(404);
  });

  it('is healthy while the database answers', async () => {
    const response = await agentOf(server).get('/api/health').expect(200);
    expect(response.body).toEqual({ status: 'ok' });
  });

  it('publishes the formats', async () => {
    const response = await agentOf(server).get('/api/openapi.json').expect(200);
    expect(response.body).toHaveProperty('openapi', '3.1.0');
    await agentOf(server).get('/api/schema/case.json').expect(200);
    await agentOf(server).get('/api/schema/diagnosis.json').expect(200);
  });
});
