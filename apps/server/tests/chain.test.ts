import { randomUUID } from 'node:crypto';
import type {
  ArchiveImported,
  CarCode,
  CarCodeState,
  CarDetail,
  CarReceived,
  Chain,
  ChainFigures,
  StoredSheet,
  OpenedShop,
  Session,
  ShopSettings,
  StaffMember,
  VisitDetail,
} from '@keen/contract';
import { DEFAULT_SHOP_SETTINGS } from '@keen/contract';
import pg from 'pg';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import {
  agentOf,
  appUrlOf,
  archiveOf,
  arrive,
  asOwner,
  bodyOf,
  broughtElsewhere,
  createDatabase,
  entry,
  LEAD,
  secondShop,
  serve,
  setUpShop,
  toeInReadings,
} from './testServer.ts';
import type { Agent } from './testServer.ts';

let server: RunningServer;
let url: string;
/** Leads the chain, and its first shop. */
let lead: Agent;
let first: Session;
/** Leads the second shop, and nothing else. */
let second: Agent;
let secondId: string;
/** Of a shop that is in no chain. */
let stranger: Agent;

const PASSWORD = 'seven grey gulls';
const prices = (change: Partial<ShopSettings['prices']['items']>, taxPercent = 21) => ({
  ...DEFAULT_SHOP_SETTINGS.prices,
  taxPercent,
  items: { ...DEFAULT_SHOP_SETTINGS.prices.items, ...change },
});
const sessionOf = async (agent: Agent) =>
  bodyOf<Session>(await agent.get('/api/session').expect(200));
const settingsOf = async (agent: Agent) => (await sessionOf(agent)).shop.settings;
const keep = (agent: Agent, change: Partial<ShopSettings>) =>
  agent.put('/api/shop/settings').send(change).expect(200);

async function signedIn(email: string): Promise<Agent> {
  const agent = agentOf(server);
  await agent.post('/api/session').send({ email, password: PASSWORD }).expect(200);
  return agent;
}

/** Opens a shop of the chain and takes up its lead's invitation. */
async function open(name: string, leadEmail: string): Promise<{ id: string; agent: Agent }> {
  const order = { shopId: randomUUID(), name, town: 'Farhaven', leadId: randomUUID() };
  const { link } = bodyOf<OpenedShop>(
    await lead
      .post('/api/chain/shops')
      .send({ ...order, leadName: `${name} lead`, leadEmail })
      .expect(200),
  );
  await agentOf(server)
    .post(`/api/password-links/${link!.token}`)
    .send({ password: PASSWORD })
    .expect(204);
  return { id: order.shopId, agent: await signedIn(leadEmail) };
}

beforeAll(async () => {
  url = await createDatabase();
  server = await serve(url);
  lead = agentOf(server);
  await setUpShop(lead);
  stranger = await secondShop(server);
  await keep(lead, { prices: prices({ align: 9_900 }), sheetHeader: 'Quay 7' });
  await lead.post('/api/chain').send({ name: 'Harbour Tires' }).expect(200);
  first = await sessionOf(lead);
  ({ id: secondId, agent: second } = await open('Second Tires', 'sid@second.example'));
});
afterAll(() => server.close());
beforeEach(() => asOwner(server, 'delete from sign_in_tries'));

describe('a chain', () => {
  it('begins with one shop, by its lead, once', async () => {
    expect(first.shop.chain).toMatchObject({ name: 'Harbour Tires', isLead: true });
    await lead.post('/api/chain').send({ name: 'Again' }).expect(409);
    const advisor = { id: randomUUID(), name: 'Ada', email: 'ada@test.example', role: 'advisor' };
    await lead
      .post('/api/shop/people')
      .send({ ...advisor, password: PASSWORD })
      .expect(200);
    await (await signedIn(advisor.email)).post('/api/chain').send({ name: 'Mine' }).expect(403);
  });

  it('is seen and changed by its leads only', async () => {
    for (const agent of [second, stranger]) {
      const expected = agent === second ? 403 : 404;
      await agent.get('/api/chain').expect(expected);
      const refused = await agent.put('/api/chain').send({ name: 'Mine now' });
      expect(refused.status).toBe(403);
      await agent.get('/api/chain/figures').expect(403);
      await agent.put('/api/chain/leads').send({ email: LEAD.email, leads: false }).expect(403);
      const order = { shopId: randomUUID(), name: 'X', town: '', leadId: randomUUID() };
      await agent
        .post('/api/chain/shops')
        .send({ ...order, leadName: 'X', leadEmail: 'x@x.example' })
        .expect(403);
    }
    const chain = bodyOf<Chain>(await lead.get('/api/chain').expect(200));
    expect(chain.name).toBe('Harbour Tires');
    expect(chain.leads).toEqual([{ name: LEAD.name, email: LEAD.email, isSelf: true }]);
  });

  it('opens shops with a lead of their own, each once, and never with somebody else’s email', async () => {
    const session = await sessionOf(second);
    expect(session.shop).toMatchObject({ id: secondId, name: 'Second Tires', town: 'Farhaven' });
    expect(session.person.role).toBe('lead');
    expect(session.shop.chain).toMatchObject({ name: 'Harbour Tires', isLead: false });
    const order = { shopId: secondId, name: 'Twice', town: '', leadId: randomUUID() };
    await lead
      .post('/api/chain/shops')
      .send({ ...order, leadName: 'T', leadEmail: 'twice@x.example' })
      .expect(409);
    await lead
      .post('/api/chain/shops')
      .send({
        ...order,
        shopId: randomUUID(),
        leadName: 'Otto',
        leadEmail: 'otto@other.example',
      })
      .expect(409);
    expect(await asOwner(server, `select 1 from shops where name in ('Twice', 'X')`)).toEqual([]);
  });

  it('has more leads, and keeps at least one', async () => {
    const set = (email: string, leads: boolean) =>
      lead.put('/api/chain/leads').send({ email, leads });
    await set(LEAD.email, false).expect(409);
    await set('otto@other.example', true).expect(404);
    await set('sid@second.example', true).expect(200);
    const seen = bodyOf<Chain>(await second.get('/api/chain').expect(200));
    expect(seen.leads.map(({ email }) => email)).toEqual([LEAD.email, 'sid@second.example']);
    await set('sid@second.example', false).expect(200);
    await second.get('/api/chain').expect(403);
  });
});

describe('somebody invited in one shop of a chain', () => {
  const person = { name: 'Ivo', email: 'ivo@test.example', role: 'advisor' };

  it('is taken into another only after choosing a password, by a link that nobody else has then', async () => {
    const [id, there] = [randomUUID(), randomUUID()];
    await lead
      .post('/api/shop/people')
      .send({ id, ...person })
      .expect(200);
    await second
      .post('/api/shop/people')
      .send({ id: there, ...person })
      .expect(409);
    const link = async () =>
      bodyOf<{ token: string }>(
        await lead.post(`/api/shop/people/${id}/password-link`).send({}).expect(200),
      ).token;
    const choose = async (token: string) =>
      (await agentOf(server).post(`/api/password-links/${token}`).send({ password: PASSWORD }))
        .status;
    expect(await choose(await link())).toBe(204);
    const kept = await link();
    await second
      .post('/api/shop/people')
      .send({ id: there, ...person })
      .expect(200);
    expect(await choose(kept)).toBe(404);
    expect((await sessionOf(await signedIn(person.email))).shops).toHaveLength(2);
  });
});

describe('what a chain settles', () => {
  it('begins with what its first shop has, but for what is that shop’s alone', async () => {
    const settings = await settingsOf(second);
    expect(settings.prices.items.align).toBe(9_900);
    expect(settings.prices.taxPercent).toBe(21);
    expect(settings.sheetHeader).toBe('');
  });

  it('holds in each shop that keeps nothing to itself, and says who settled it', async () => {
    const limits = { legal: 1.6, advise: 4, snow: 5 };
    const chain = bodyOf<Chain>(
      await lead
        .put('/api/chain')
        .send({ settings: { limits, prices: prices({ align: 9_900, inspect: 3_000 }) } })
        .expect(200),
    );
    expect(chain.settled).toContain('limits.advise');
    expect(chain.settled).not.toContain('sheetHeader');
    expect(chain.log[0]).toMatchObject({
      kind: 'settled',
      by: LEAD.name,
      what: ['prices.items.inspect', 'limits.advise', 'limits.snow'],
    });
    const { settings, chain: shared } = (await sessionOf(second)).shop;
    expect(settings.limits).toEqual(limits);
    expect(settings.prices.items.inspect).toBe(3_000);
    expect(shared?.settled['limits.advise']).toMatchObject({ value: 4, by: LEAD.name });
    // A visit is judged by what holds when it begins.
    const visit = await arrive(second);
    const detail = await second.get(`/api/visits/${visit.id}`).expect(200);
    expect(bodyOf<VisitDetail>(detail).visit.draft.limits).toMatchObject({ advise: 4 });
  });

  it('is overridden by a shop value by value: the rest goes on following the chain', async () => {
    await keep(second, { prices: { ...(await settingsOf(second)).prices, taxPercent: 10 } });
    const own = (await sessionOf(second)).shop.chain!.own;
    expect(Object.keys(own)).toEqual(['prices.taxPercent']);
    expect(own['prices.taxPercent']!.by).toBe('Second Tires lead');
    await lead
      .put('/api/chain')
      .send({ settings: { prices: prices({ align: 11_100, inspect: 3_000 }, 25) } })
      .expect(200);
    const settings = await settingsOf(second);
    expect(settings.prices.taxPercent).toBe(10);
    expect(settings.prices.items.align).toBe(11_100);
    const figures = bodyOf<ChainFigures>(await lead.get('/api/chain/figures').expect(200));
    const shown = figures.find(({ shopId }) => shopId === secondId)!.own;
    expect(shown).toEqual([
      { path: 'prices.taxPercent', by: 'Second Tires lead', at: shown[0]!.at },
    ]);
  });

  it('is taken again when the shop asks for it, or types the same', async () => {
    const taken = await second
      .post('/api/shop/settings/chains')
      .send({ paths: ['prices.taxPercent'] })
      .expect(200);
    expect(bodyOf<ShopSettings>(taken).prices.taxPercent).toBe(25);
    await keep(second, { sheetHeader: 'Pier 2' });
    expect((await sessionOf(second)).shop.chain!.own).toEqual({});
    await keep(second, { limits: { legal: 1.6, advise: 3, snow: 5 } });
    expect(Object.keys((await sessionOf(second)).shop.chain!.own)).toEqual(['limits.advise']);
    await keep(second, { limits: { legal: 1.6, advise: 4, snow: 5 } });
    expect((await sessionOf(second)).shop.chain!.own).toEqual({});
  });

  it('is no chain’s amount in another currency', async () => {
    const { prices: known } = await settingsOf(second);
    await keep(second, { prices: { ...known, currency: 'SEK' } });
    const { items, currency } = (await settingsOf(second)).prices;
    expect(currency).toBe('SEK');
    expect(items.align).toBe(DEFAULT_SHOP_SETTINGS.prices.items.align);
    await second
      .post('/api/shop/settings/chains')
      .send({ paths: ['prices.currency'] })
      .expect(200);
  });

  it('is left to the shops again: each goes back to its own', async () => {
    await lead
      .put('/api/chain')
      .send({ leave: ['limits.advise', 'limits.snow'] })
      .expect(200);
    expect((await settingsOf(second)).limits).toEqual(DEFAULT_SHOP_SETTINGS.limits);
    const chain = bodyOf<Chain>(await lead.get('/api/chain').expect(200));
    expect(chain.log[0]).toMatchObject({ kind: 'left', what: ['limits.advise', 'limits.snow'] });
    const same = bodyOf<Chain>(
      await lead
        .put('/api/chain')
        .send({ settle: ['limits.advise', 'no.such.thing'] })
        .expect(200),
    );
    expect(same.settled).toContain('limits.advise');
    expect(same.settled).not.toContain('no.such.thing');
    expect(same.log[0]).toMatchObject({ kind: 'settled', what: ['limits.advise'] });
  });

  it('is not what belongs to one shop only', async () => {
    await lead
      .put('/api/chain')
      .send({ settings: { sheetHeader: 'Everywhere 1' } })
      .expect(200);
    expect((await settingsOf(second)).sheetHeader).toBe('Pier 2');
    expect((await settingsOf(lead)).sheetHeader).toBe('Quay 7');
  });

  it('keeps both of two changes that come at once', async () => {
    await Promise.all([
      lead
        .put('/api/chain')
        .send({ settings: { comebackKm: 7_000 } })
        .expect(200),
      lead
        .put('/api/chain')
        .send({ settings: { houseRules: { ...DEFAULT_SHOP_SETTINGS.houseRules, ageLook: 5 } } })
        .expect(200),
    ]);
    const settings = await settingsOf(lead);
    expect(settings.comebackKm).toBe(7_000);
    expect(settings.houseRules.ageLook).toBe(5);
  });
});

describe('a specification sheet', () => {
  const id = randomUUID();
  const sheetOf = (high: number, name = 'Harbour van') => ({
    format: 'keen-groove/specification',
    version: 1,
    name,
    kind: 'shop',
    source: 'Measured here',
    camber: { front: { low: -1, high } },
  });
  const saveSheet = (agent: Agent, basedOn: number, high: number) =>
    agent.post('/api/sheets').send({
      sheets: [{ id, revisionId: randomUUID(), basedOn, sheet: sheetOf(high), retired: false }],
    });
  const seen = async (agent: Agent) => {
    const list = bodyOf<StoredSheet[]>(await agent.get('/api/sheets').expect(200));
    const one = list.find((sheet) => sheet.id === id);
    return one && [one.origin, one.revision, one.sheet.camber?.front?.high];
  };
  const give = (agent: Agent) => agent.post('/api/chain/sheets').send({ sheetId: id });

  it('is given to all shops, and by a lead of the chain only', async () => {
    await saveSheet(lead, 0, 0).expect(200);
    expect(await seen(second)).toBeUndefined();
    await give(second).expect(403);
    await give(lead).expect(204);
    expect(await seen(lead)).toEqual(['chain', 2, 0]);
    expect(await seen(second)).toEqual(['chain', 2, 0]);
    expect(await seen(stranger)).toBeUndefined();
    // There is nothing of the shop's own to give any more.
    await give(lead).expect(404);
    const chain = bodyOf<Chain>(await lead.get('/api/chain').expect(200));
    expect(chain.log[0]).toMatchObject({ kind: 'sheetGiven', what: ['Harbour van'] });
  });

  it('is a shop’s own once it is changed there, and the chain’s again when asked for', async () => {
    await saveSheet(second, 1, 0.5).expect(409);
    await saveSheet(second, 2, 0.5).expect(200);
    expect(await seen(second)).toEqual(['instead', 3, 0.5]);
    await saveSheet(lead, 2, 0.2).expect(200);
    await give(lead).expect(204);
    expect(await seen(lead)).toEqual(['chain', 4, 0.2]);
    expect(await seen(second)).toEqual(['instead', 3, 0.5]);
    await second.post(`/api/sheets/${id}/chains`).send({}).expect(200);
    expect(await seen(second)).toEqual(['chain', 4, 0.2]);
    await stranger.post(`/api/sheets/${id}/chains`).send({}).expect(404);
  });

  it('leaves with a shop’s archive, and comes back as the chain’s', async () => {
    await saveSheet(lead, 4, 0.3).expect(200);
    await give(lead).expect(204);
    expect(await seen(second)).toEqual(['chain', 6, 0.3]);
    await broughtElsewhere(second, async (elsewhere) => {
      expect(await seen(elsewhere)).toEqual(['shop', 6, 0.3]);
    });
    const taken = await second
      .post('/api/shop/archive')
      .type('application/zip')
      .send(await archiveOf(second))
      .expect(200);
    expect(bodyOf<ArchiveImported>(taken)).toMatchObject({ sheets: 0, faults: [] });
    expect(await seen(second)).toEqual(['chain', 6, 0.3]);
  });

  it('is a shop’s own once more, and no revision is there twice', async () => {
    await saveSheet(second, 6, 0.7).expect(200);
    expect(await seen(second)).toEqual(['instead', 7, 0.7]);
  });
});

describe('what a lead of the chain sees', () => {
  it('is figures of every shop, by day, and nobody’s name', async () => {
    const before = bodyOf<ChainFigures>(await lead.get('/api/chain/figures').expect(200));
    const visit = await arrive(second);
    await second
      .post(`/api/visits/${visit.id}/entries`)
      .send({ entries: toeInReadings() })
      .expect(200);
    await second
      .post(`/api/visits/${visit.id}/decisions`)
      .send({ id: randomUUID(), action: 'align', replace: [], answer: 'yes', reason: 'as wanted' })
      .expect(200);
    const after = bodyOf<ChainFigures>(await lead.get('/api/chain/figures').expect(200));
    const of = (figures: ChainFigures) => figures.find(({ shopId }) => shopId === secondId)!;
    expect(of(after).visits).toBe(of(before).visits + 1);
    expect(of(after).counts.reduce((sum, { count }) => sum + count, 0)).toBe(1);
    expect(after.map(({ name }) => name)).toEqual(['Second Tires', 'Test Tires']);
    const past = await lead.get('/api/chain/figures?from=2020-01-01&until=2020-12-31').expect(200);
    expect(of(bodyOf<ChainFigures>(past))).toMatchObject({ visits: 0, counts: [] });
  });

  it('is no visit, unless the shop lets them in', async () => {
    const visit = await arrive(second);
    await lead.get(`/api/visits/${visit.id}`).expect(404);
    await lead.put('/api/session/shop').send({ shopId: secondId }).expect(403);
    const person = { id: randomUUID(), name: 'Lea', email: LEAD.email, role: 'advisor' };
    await second.post('/api/shop/people').send(person).expect(200);
    await lead.put('/api/session/shop').send({ shopId: secondId }).expect(200);
    await lead.get(`/api/visits/${visit.id}`).expect(200);
    // They lead the chain from here as well, and are an advisor in this shop.
    await lead.get('/api/chain').expect(200);
    await lead.put('/api/shop/settings').send({ comebackKm: 9_000 }).expect(403);
    await lead.put('/api/session/shop').send({ shopId: first.shop.id }).expect(200);
  });
});

describe('a car that goes to another shop', () => {
  const plate = 'GO 77';
  let carId: string;
  let readId: string;
  const codeFor = async (agent: Agent, id: string) =>
    bodyOf<CarCode>(await agent.post(`/api/vehicles/${id}/codes`).send({}).expect(200)).code;
  const take = (agent: Agent, code: string) => agent.post('/api/vehicles/taken').send({ code });

  beforeAll(async () => {
    const visit = await arrive(lead, plate);
    carId = visit.vehicle.id;
    readId = visit.id;
    const conflict = { ...toeInReadings()[0]!, id: randomUUID(), value: 5 };
    await lead
      .post(`/api/visits/${visit.id}/entries`)
      .send({ entries: [...toeInReadings(), { ...conflict, over: [] }] })
      .expect(200);
    const ada = await signedIn('ada@test.example');
    await ada
      .post(`/api/visits/${visit.id}/entries`)
      .send({ entries: [entry('visit.words', 'pulls left')] })
      .expect(200);
    await lead
      .post(`/api/visits/${visit.id}/decisions`)
      .send({ id: randomUUID(), action: 'align', replace: [], answer: 'no', reason: 'next time' })
      .expect(200);
  });

  it('comes with its history, by the customer’s code, once', async () => {
    const code = await codeFor(lead, carId);
    expect(code).toMatch(/^[0-9A-Z]{4}-[0-9A-Z]{4}-[0-9A-Z]{4}$/);
    // As somebody types it who was told it on the telephone.
    const typed = code.toLowerCase().replace(/-/g, ' ').replace(/0/g, 'o').replace(/1/g, 'l');
    const taken = bodyOf<CarReceived>(await take(second, typed).expect(200));
    expect(taken.visits).toBe(1);
    await take(second, code).expect(404);
    const car = bodyOf<CarDetail>(await second.get(`/api/garage/${taken.carId}`).expect(200));
    expect(car.vehicle).toMatchObject({ plate, customer: 'Tess Ter' });
    expect(car.visits).toHaveLength(1);
    const copy = car.visits[0]!;
    expect(copy.id).not.toBe(readId);
    const [there, here] = await Promise.all(
      [
        [lead, readId],
        [second, copy.id],
      ].map(async ([agent, id]) =>
        bodyOf<VisitDetail>(await (agent as Agent).get(`/api/visits/${id as string}`).expect(200)),
      ),
    );
    expect(here!.visit.draft).toEqual(there!.visit.draft);
    expect(here!.entries.map(({ path, value, seq }) => [path, value, seq])).toEqual(
      there!.entries.map(({ path, value, seq }) => [path, value, seq]),
    );
    expect(here!.visit.closedAt).not.toBeNull();
    // Who read it is still who read it.
    const staff = (await sessionOf(second)).people;
    const authorOf = (one: string) => {
      const found = here!.entries.find(({ path }) => path === one)!;
      return staff.find(({ id }) => id === found.personId);
    };
    expect(authorOf('visit.words')).toMatchObject({ name: 'Ada, Test Tires', suspended: true });
    // Lea works here too by now, and goes by the name she has here.
    expect(authorOf('tires.lf.newDepth')?.name).toBe('Lea');
    const codes = bodyOf<CarCodeState[]>(
      await lead.get(`/api/vehicles/${carId}/codes`).expect(200),
    );
    expect(codes[0]?.taken?.shop).toBe('Second Tires');
  });

  it('gives nobody a way into the account of who worked on it there', async () => {
    const staff = bodyOf<StaffMember[]>(await second.get('/api/shop/people').expect(200));
    const ada = staff.find(({ name }) => name === 'Ada, Test Tires')!;
    const path = `/api/shop/people/${ada.id}`;
    const password = 'nine brown geese';
    await second.put(`${path}/password`).send({ password }).expect(409);
    await second.post(`${path}/password-link`).send({}).expect(409);
    await second.put(path).send({ hasSecondFactor: false }).expect(409);
    expect((await sessionOf(await signedIn(ada.email))).shops).toHaveLength(1);
    // Let in, she comes in by her own password, and may be sent away again.
    await second.put(path).send({ suspended: false }).expect(200);
    expect((await sessionOf(await signedIn(ada.email))).shops).toHaveLength(2);
    await second.put(path).send({ suspended: true }).expect(200);
  });

  it('comes back without coming twice', async () => {
    const { carId: there } = bodyOf<CarReceived>(
      await take(second, await codeFor(lead, carId)).expect(200),
    );
    const visit = await arrive(second, plate);
    expect(visit.vehicle.id).toBe(there);
    const back = bodyOf<CarReceived>(await take(lead, await codeFor(second, there)).expect(200));
    expect(back).toEqual({ carId, visits: 1 });
    const again = bodyOf<CarReceived>(await take(lead, await codeFor(second, there)).expect(200));
    expect(again.visits).toBe(0);
  });

  it('goes by the latest code only, to a shop of the chain only, and never to its own', async () => {
    const [old, code] = [await codeFor(lead, carId), await codeFor(lead, carId)];
    await take(second, old).expect(404);
    await take(lead, code).expect(404);
    await take(stranger, code).expect(404);
    await take(second, 'ABCD-ABCD-ABCD').expect(404);
    await asOwner(server, `update car_codes set ends_at = now() - interval '1 minute'`);
    await take(second, code).expect(404);
    const theirs = await arrive(stranger);
    await stranger.post(`/api/vehicles/${theirs.vehicle.id}/codes`).send({}).expect(409);
    await second.post(`/api/vehicles/${carId}/codes`).send({}).expect(404);
  });
});

describe('the database’s own wall', () => {
  const DENIED = '42501';
  async function asApp(shop: string, statement: string, values: unknown[] = []) {
    const app = new pg.Client({ connectionString: appUrlOf(url) });
    await app.connect();
    try {
      await app.query('begin');
      await app.query(`select set_config('keen.shop', $1, true)`, [shop]);
      return await app.query(statement, values).then(
        ({ rows }) => rows as unknown[],
        (error: unknown) => (error as pg.DatabaseError).code,
      );
    } finally {
      await app.end();
    }
  }

  it('shows a chain to its shops only', async () => {
    const other = (await sessionOf(stranger)).shop.id;
    for (const table of ['chains', 'chain_leads', 'chain_log']) {
      expect(await asApp(other, `select 1 from ${table}`), table).toEqual([]);
      expect((await asApp(secondId, `select 1 from ${table}`))?.length, table).toBeGreaterThan(0);
    }
  });

  it('lets nobody write to a chain, choose one, or act as its lead who is none', async () => {
    const [{ id } = { id: '' }] = await asOwner<{ id: string }>(server, 'select id from chains');
    const other = (await sessionOf(stranger)).shop.id;
    const [{ account } = { account: '' }] = await asOwner<{ account: string }>(
      server,
      `select account_id as account from people where shop_id = '${secondId}' and role = 'lead'`,
    );
    for (const [shop, statement] of [
      [secondId, `update chains set name = 'Mine'`],
      [secondId, `insert into chain_leads (chain_id, account_id) values ('${id}', '${account}')`],
      [secondId, `delete from chain_log`],
      [other, `update shops set chain_id = '${id}'`],
      [secondId, `update shops set chain_id = null`],
      [
        randomUUID(),
        `insert into shops (id, name, town, is_demo, chain_id)
         values (current_setting('keen.shop')::uuid, 'Sly', '', false, '${id}')`,
      ],
      [secondId, `select keen_settle('${account}', 'Mine', '{}', '[]', '[]')`],
      [secondId, `select * from keen_chain_figures('${account}', null, null)`],
      [other, `select keen_led_chain('${account}')`],
    ] as const) {
      expect(await asApp(shop, statement), statement).toBe(DENIED);
    }
    expect(await asOwner(server, 'select name from chains')).toEqual([{ name: 'Harbour Tires' }]);
    expect(
      await asOwner(server, 'select name from shops where chain_id is not null order by name'),
    ).toEqual([{ name: 'Second Tires' }, { name: 'Test Tires' }]);
  });
});
