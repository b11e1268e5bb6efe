import { randomUUID } from 'node:crypto';
import { DEFAULT_PRICES, LATER_ITEMS } from '@keen/contract';
import type { Session, ShopSettings, StaffMember } from '@keen/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import type { Agent } from './testServer.ts';
import {
  asOwner,
  agentOf,
  arrive,
  bodyOf,
  createDatabase,
  secondShop,
  serve,
  setUpShop,
} from './testServer.ts';

let server: RunningServer;
let lead: Agent;
beforeAll(async () => {
  server = await serve(await createDatabase());
  lead = agentOf(server);
  await setUpShop(lead);
});
afterAll(() => server.close());

const colleague = (change: object = {}) => ({
  id: randomUUID(),
  name: 'Nell Advisor',
  email: 'nell@example.com',
  password: 'a long password',
  role: 'advisor',
  ...change,
});

describe('the shop', () => {
  it('lets colleagues in by its lead alone, once each, who can then sign in', async () => {
    await agentOf(server).post('/api/shop/people').send(colleague()).expect(401);
    const nell = colleague();
    const added = bodyOf<StaffMember>(await lead.post('/api/shop/people').send(nell).expect(200));
    expect(added).toMatchObject({ id: nell.id, name: 'Nell Advisor', role: 'advisor' });
    await lead.post('/api/shop/people').send(nell).expect(200);
    await lead.post('/api/shop/people').send(colleague()).expect(409);
    await lead
      .post('/api/shop/people')
      .send(colleague({ password: 'short' }))
      .expect(400);

    const own = agentOf(server);
    const { email, password } = nell;
    const session = bodyOf<Session>(
      await own.post('/api/session').send({ email, password }).expect(200),
    );
    expect(session.people.map(({ name }) => name)).toContain('Nell Advisor');
    await own
      .post('/api/shop/people')
      .send(colleague({ email: 'other@example.com' }))
      .expect(403);
    // Another shop neither sees nor takes over a person.
    const stranger = await secondShop(server);
    const theirs = bodyOf<Session>(await stranger.get('/api/session').expect(200));
    expect(theirs.people.map(({ name }) => name)).not.toContain('Nell Advisor');
  });

  it('keeps its prices, and refuses money that is none', async () => {
    const shop = lead;
    const { settings } = bodyOf<Session>(await shop.get('/api/session').expect(200)).shop;
    expect(settings.prices).toEqual(DEFAULT_PRICES);
    const prices = { ...DEFAULT_PRICES, items: { ...DEFAULT_PRICES.items, align: 9_500 } };
    await shop
      .put('/api/shop/settings')
      .send({ ...settings, prices })
      .expect(200);
    const kept = bodyOf<Session>(await shop.get('/api/session').expect(200)).shop.settings;
    expect(kept).toEqual({ ...settings, prices } satisfies ShopSettings);
    for (const align of [-1, 1.5, 'free']) {
      await shop
        .put('/api/shop/settings')
        .send({ ...settings, prices: { ...prices, items: { ...prices.items, align } } })
        .expect(400);
    }
  });

  it('asks nothing for items that a list from before them does not have', async () => {
    await lead.put('/api/shop/settings').send({ prices: DEFAULT_PRICES }).expect(200);
    await asOwner(
      server,
      `update shops set settings = settings #- '{prices,items,adjustableArm}' #- '{prices,items,pressureSensor}'`,
    );
    const { settings } = bodyOf<Session>(await lead.get('/api/session').expect(200)).shop;
    expect(settings.prices.items).toEqual({ ...DEFAULT_PRICES.items, ...LATER_ITEMS });
  });

  it('lets two people change different settings at once, and both changes stand', async () => {
    const limits = { legal: 2, advise: 3, snow: 5 };
    await Promise.all([
      lead.put('/api/shop/settings').send({ limits }).expect(200),
      lead.put('/api/shop/settings').send({ sheetHeader: 'Quay 7' }).expect(200),
      lead
        .put('/api/shop/settings')
        .send({ offsetBolts: [1.75] })
        .expect(200),
    ]);
    const { settings } = bodyOf<Session>(await lead.get('/api/session').expect(200)).shop;
    expect(settings).toMatchObject({ limits, sheetHeader: 'Quay 7', offsetBolts: [1.75] });
    // New visits are judged by the shop's own limits.
    const visit = await arrive(lead);
    expect(visit.draft.limits).toEqual({ legal: 2, advise: 3 });
  });

  it('lets a new colleague begin with its units', async () => {
    const units = { depth: 'in32', distance: 'mi', pressure: 'psi' };
    await lead.put('/api/shop/settings').send({ units }).expect(200);
    const ned = colleague({ email: 'ned@example.com' });
    await lead.post('/api/shop/people').send(ned).expect(200);
    const own = agentOf(server);
    const { email, password } = ned;
    const session = bodyOf<Session>(
      await own.post('/api/session').send({ email, password }).expect(200),
    );
    expect(session.preferences.units).toEqual(units);
    // Those who were there keep theirs.
    const { preferences } = bodyOf<Session>(await lead.get('/api/session').expect(200));
    expect(preferences.units.depth).toBe('mm');
  });

  it('gives a colleague a new password, by the lead alone', async () => {
    const people = bodyOf<StaffMember[]>(await lead.get('/api/shop/people').expect(200));
    const nell = people.find(({ email }) => email === 'nell@example.com')!;
    const password = 'quite another password';
    await lead.put(`/api/shop/people/${nell.id}/password`).send({ password: 'short' }).expect(400);
    await lead.put(`/api/shop/people/${nell.id}/password`).send({ password }).expect(204);
    const email = 'nell@example.com';
    const own = agentOf(server);
    await own.post('/api/session').send({ email, password }).expect(200);
    await own.put(`/api/shop/people/${nell.id}/password`).send({ password }).expect(403);
    await lead.put(`/api/shop/people/${randomUUID()}/password`).send({ password }).expect(404);
  });
});
