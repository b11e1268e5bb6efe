import { randomUUID } from 'node:crypto';
import { connect } from 'node:net';
import type { ArchiveVisit, Session, Visit, VisitDetail } from '@keen/contract';
import {
  DEFAULT_SHOP_SETTINGS,
  archiveImportedSchema,
  archiveVisitSchema,
  parseCaseFile,
} from '@keen/contract';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import Papa from 'papaparse';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import type { Agent } from './testServer.ts';
import {
  agentOf,
  archiveOf,
  arrive,
  asOwner,
  bodyOf,
  createDatabase,
  entry,
  LEAD,
  secondShop,
  serve,
  setUpShop,
  toeInReadings,
} from './testServer.ts';

/** A picture of one point, as a PNG. */
const PICTURE = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==',
  'base64',
);

let server: RunningServer;
let agent: Agent;
let visit: Visit;
beforeAll(async () => {
  server = await serve(await createDatabase());
  agent = agentOf(server);
  await setUpShop(agent);
  visit = await arrive(agent, 'ZIP 1');
  await agent
    .post(`/api/visits/${visit.id}/entries`)
    .send({
      entries: [
        ...toeInReadings(),
        entry('angles.lf', { toe: 0.4 }),
        entry('visit.words', 'wanders'),
      ],
    })
    .expect(200);
  await agent
    .post(`/api/visits/${visit.id}/decisions`)
    .send({ id: randomUUID(), action: 'align', replace: [], answer: 'no', reason: 'own wish' })
    .expect(200);
  await agent
    .put(`/api/visits/${visit.id}/photos/${randomUUID()}?subject=lf`)
    .type('image/png')
    .send(PICTURE)
    .expect(200);
  await agent.put('/api/shop/logo').type('image/png').send(PICTURE).expect(204);
});
afterAll(() => server.close());

const bring = (to: Agent, zip: Buffer | Uint8Array) =>
  to.post('/api/shop/archive').type('application/zip').send(Buffer.from(zip));
const detailOf = async (from: Agent) =>
  bodyOf<VisitDetail>(await from.get(`/api/visits/${visit.id}`).expect(200));

describe('the whole shop as a zip', () => {
  it('holds open files that other programs read', async () => {
    const files = unzipSync(await archiveOf(agent));
    const folder = 'visits/00001-ZIP1/';
    const text = (name: string) => strFromU8(files[name]!);
    expect(archiveVisitSchema.parse(JSON.parse(text(`${folder}visit.json`))).number).toBe(1);
    expect(parseCaseFile(JSON.parse(text(`${folder}case.keen.json`))).ok).toBe(true);
    const { data } = Papa.parse<string[]>(text(`${folder}readings.csv`).trim());
    expect(data[0]).toEqual(['wheel', 'rib', 'place', 'depth_mm']);
    expect(data).toHaveLength(13);
    expect(data).toContainEqual(['lf', 'outer', '1', '3.4']);
    expect(text(`${folder}angles.csv`)).toContain('toe,lf,,0.4,');
    expect(Object.keys(files).some((name) => /photos\/.*\.png$/.test(name))).toBe(true);
    // Nothing that lets anybody in.
    expect(
      Object.values(files)
        .map((bytes) => strFromU8(bytes))
        .join(),
    ).not.toContain('argon2');
  });

  it('comes back whole in an empty shop, and once however often it is brought', async () => {
    const zip = await archiveOf(agent);
    const other = await serve(await createDatabase());
    try {
      const lead = agentOf(other);
      await setUpShop(lead);
      const taken = archiveImportedSchema.parse((await bring(lead, zip).expect(200)).body);
      expect(taken).toMatchObject({ visits: 1, known: 0, cars: 1, settings: true, faults: [] });
      const [before, after] = [await detailOf(agent), await detailOf(lead)];
      expect(after.visit.draft).toEqual(before.visit.draft);
      expect(after.entries.map(({ path, value }) => [path, value])).toEqual(
        before.entries.map(({ path, value }) => [path, value]),
      );
      expect(after.decisions[0]!.reason).toBe('own wish');
      expect(after.decisions[0]!.diagnosis).toEqual(before.decisions[0]!.diagnosis);
      const photos = (await lead.get(`/api/visits/${visit.id}/photos`).expect(200))
        .body as unknown[];
      expect(photos).toHaveLength(1);
      const session = bodyOf<Session>(await lead.get('/api/session').expect(200));
      expect(session.shop.hasLogo).toBe(true);
      const again = archiveImportedSchema.parse((await bring(lead, zip).expect(200)).body);
      expect(again).toMatchObject({ visits: 0, known: 1, cars: 0, people: 0, settings: false });
      // The lead of both shops is one person, who still signs in as before.
      await agentOf(other)
        .post('/api/session')
        .send({ email: LEAD.email, password: LEAD.password })
        .expect(200);
    } finally {
      await other.close();
    }
  });

  it('that has a visit twice brings it once, with the visits around it', async () => {
    const files = unzipSync(await archiveOf(agent));
    const one = 'visits/00001-ZIP1/visit.json';
    const plain = JSON.parse(strFromU8(files[one]!)) as ArchiveVisit;
    const apart: ArchiveVisit = {
      ...plain,
      ...{ id: randomUUID(), number: 2, entries: [], decisions: [], photos: [], links: [] },
    };
    const zip = zipSync({
      ...files,
      'visits/00001-TWICE/visit.json': files[one]!,
      'visits/00002-APART/visit.json': strToU8(JSON.stringify(apart)),
    });
    const other = await serve(await createDatabase());
    try {
      const lead = agentOf(other);
      await setUpShop(lead);
      const taken = archiveImportedSchema.parse((await bring(lead, zip).expect(200)).body);
      expect(taken).toMatchObject({ visits: 2, known: 1, faults: [] });
    } finally {
      await other.close();
    }
  });

  it('is taken from before a setting was added or renamed, with that setting’s default', async () => {
    const files = unzipSync(await archiveOf(agent));
    const shop = JSON.parse(strFromU8(files['shop.json']!)) as {
      settings: {
        houseRules?: object;
        limits: object;
        prices: { packages?: object };
        readingOrder: string;
      };
    };
    delete shop.settings.houseRules;
    delete shop.settings.prices.packages;
    shop.settings.limits = { legal: 2, advise: 3, snow: 4 };
    shop.settings.readingOrder = 'walkRound';
    files['shop.json'] = strToU8(JSON.stringify(shop));
    const other = await serve(await createDatabase());
    try {
      const lead = agentOf(other);
      await setUpShop(lead);
      const taken = archiveImportedSchema.parse(
        (await bring(lead, zipSync(files)).expect(200)).body,
      );
      expect(taken).toMatchObject({ settings: true, faults: [] });
      const { settings } = bodyOf<Session>(await lead.get('/api/session').expect(200)).shop;
      expect(settings).toMatchObject({
        limits: { legal: 2 },
        readingOrder: 'walkAround',
        houseRules: DEFAULT_SHOP_SETTINGS.houseRules,
        prices: { packages: DEFAULT_SHOP_SETTINGS.prices.packages },
      });
    } finally {
      await other.close();
    }
  });

  it('says which files it could not take, and takes the others', async () => {
    const files = unzipSync(await archiveOf(agent));
    const bad = JSON.parse(strFromU8(files['visits/00001-ZIP1/visit.json']!)) as Record<
      string,
      unknown
    >;
    const odd = {
      ...bad,
      id: randomUUID(),
      entries: [{ ...entry('no.such.field', 1), seq: 1, personId: randomUUID() }],
    };
    const zip = zipSync({
      ...files,
      'visits/00002-X/visit.json': strToU8(JSON.stringify(odd)),
      'visits/00003-Y/visit.json': strToU8('{'),
    });
    const taken = archiveImportedSchema.parse((await bring(agent, zip).expect(200)).body);
    expect(taken.known).toBe(1);
    expect(taken.faults).toEqual([
      {
        file: 'visits/00002-X/visit.json',
        path: 'entries.0.path',
        expected: 'a field of a visit',
        reason: 'visitField',
      },
      { file: 'visits/00003-Y/visit.json', expected: 'JSON', reason: 'json' },
    ]);
  });

  it('is refused when it is none, and from anybody but the lead', async () => {
    const none = await bring(agent, Buffer.from('no zip at all')).expect(400);
    expect(none.body).toMatchObject({ title: 'This is not an archive of a shop' });
    await bring(agent, zipSync({ 'a.txt': strToU8('a') })).expect(400);
    const stranger = await secondShop(server, 'advisor');
    await bring(stranger, await archiveOf(agent)).expect(403);
  });
});

/** Everything that the archive is to bring over; the rest is devices that are played with, and secrets. */
const COMPARED: Record<string, string> = {
  shops: 'id, name, town, settings, created_at',
  people:
    'id, name, (select email from accounts where accounts.id = account_id), role, preferences, suspended_at, created_at',
  vehicles: 'id, plate, plate_key, label, customer, phone, vin, erased_at, created_at',
  visits: 'id, vehicle_id, number, arrived_at, closed_at, draft, seq',
  entries: 'id, visit_id, seq, path, value, over, person_id, at, created_at',
  decisions:
    'id, visit_id, action, advised, replace, answer, reason, diagnosis, entry_seq, person_id, created_at',
  photos: 'id, visit_id, subject, type, person_id, created_at',
  sheet_links: 'id, visit_id, token, paper, ends_at, opened, person_id, created_at',
  spec_sheets: 'id, sheet_id, revision, sheet, retired, person_id, created_at',
  shop_logos: 'type',
};

describe('out and in again', () => {
  it('gives the same shop, table by table', async () => {
    await agent.put('/api/shop/settings').send({ sheetHeader: 'Quay 7' }).expect(200);
    const sheet = {
      format: 'keen-groove/specification',
      version: 1,
      name: 'Harbour van',
      kind: 'shop',
      source: 'Measured here',
      camber: { front: { low: -1, high: 0 } },
    };
    const revision = {
      id: randomUUID(),
      revisionId: randomUUID(),
      basedOn: 0,
      sheet,
      retired: false,
    };
    await agent
      .post('/api/sheets')
      .send({ sheets: [revision] })
      .expect(200);
    await agent
      .post(`/api/visits/${visit.id}/links`)
      .send({ id: randomUUID(), days: 30 })
      .expect(200);
    await agent
      .post('/api/shop/people')
      .send({ id: randomUUID(), name: 'Gone Gil', email: 'gil@zip.example', role: 'technician' })
      .expect(200);
    const rowsOf = async (of: RunningServer, shopId: string, table: string) => {
      // To the millisecond, as the files have it.
      const rows = await asOwner<{ row: Record<string, unknown> }>(
        of,
        `select to_jsonb(t) as row from (select ${COMPARED[table]} from ${table} where ${table === 'shops' ? 'id' : 'shop_id'} = '${shopId}') t`,
      );
      const text = JSON.stringify(rows.map(({ row }) => row));
      const whole = text.replace(/"(\d{4}-\d\d-\d\dT[\d:.]+\+00:00)"/g, (_, moment: string) =>
        JSON.stringify(new Date(moment)),
      );
      return JSON.parse(whole) as unknown[];
    };
    const zip = await archiveOf(agent);
    const other = await serve(await createDatabase());
    try {
      const lead = agentOf(other);
      const session = await setUpShop(lead);
      // The lead is the same person in both: known by the email, under another id.
      const own = bodyOf<Session>(await agent.get('/api/session').expect(200));
      const taken = archiveImportedSchema.parse((await bring(lead, zip).expect(200)).body);
      expect(taken.faults).toEqual([]);
      const renamed = (value: unknown) =>
        JSON.parse(
          JSON.stringify(value)
            .replaceAll(session.person.id, own.person.id)
            .replaceAll(session.shop.id, own.shop.id),
        ) as Record<string, unknown>[];
      const sorted = (list: unknown[]) => list.map((row) => JSON.stringify(row)).toSorted();
      for (const table of Object.keys(COMPARED)) {
        const [before, after] = [
          await rowsOf(server, own.shop.id, table),
          renamed(await rowsOf(other, session.shop.id, table)),
        ];
        const isLead = (row: unknown) => (row as { email?: string }).email === LEAD.email;
        const rest = (list: unknown[]) => list.filter((row) => table !== 'people' || !isLead(row));
        expect([table, sorted(rest(after))]).toEqual([table, sorted(rest(before))]);
        expect(before.length).toBeGreaterThan(0);
      }
    } finally {
      await other.close();
    }
  });
});

describe('an archive made to break something', () => {
  /** The archive of the shop, with one visit of it changed. */
  async function changed(change: (visit: Record<string, unknown>) => unknown): Promise<Uint8Array> {
    const files = unzipSync(await archiveOf(agent));
    const name = Object.keys(files).find((one) => one.endsWith('/visit.json'))!;
    const good = JSON.parse(strFromU8(files[name]!)) as Record<string, unknown>;
    return zipSync({ ...files, [name]: strToU8(JSON.stringify(change(good))) });
  }
  type Listed = { entries: Record<string, unknown>[] };

  it.each<[string, (visit: Record<string, unknown>) => unknown, RegExp]>([
    [
      'an entry that another visit has',
      (one) => ({ ...one, id: randomUUID(), decisions: [], photos: [], links: [] }),
      /one of another visit/,
    ],
    [
      'two entries of one number',
      (one) => ({
        ...one,
        id: randomUUID(),
        entries: (one as Listed).entries.map((each) => ({ ...each, id: randomUUID(), seq: 1 })),
      }),
      /no other entry has/,
    ],
    [
      'a number past what is counted',
      (one) => ({ ...one, id: randomUUID(), number: 2 ** 31 }),
      /number/,
    ],
    [
      'the year 0',
      (one) => ({ ...one, id: randomUUID(), arrivedAt: '0000-01-01T00:00:00Z' }),
      /arrivedAt/,
    ],
    [
      'a NUL in a text',
      (one) => ({
        ...one,
        id: randomUUID(),
        entries: [{ ...(one as Listed).entries[0], path: 'visit.words', value: 'a\0' }],
      }),
      /control characters/,
    ],
    [
      'a pressure that cannot be typed',
      (one) => ({
        ...one,
        id: randomUUID(),
        entries: [
          { ...(one as Listed).entries[0], path: 'tires.lf.pressure.target', value: 1e308 },
        ],
      }),
      /entries\.0\.value: at most/,
    ],
    ['no JSON at all', () => deepArray(60), /levels/],
  ])('%s is named as a fault, and the server goes on', async (_name, change, fault) => {
    const before = await asOwner(server, 'select count(*)::int as n from visits');
    const answer = await bring(agent, await changed(change)).expect(200);
    const { faults } = archiveImportedSchema.parse(answer.body);
    expect(faults.map(({ path, expected }) => `${path}: ${expected}`).join()).toMatch(fault);
    expect(await asOwner(server, 'select count(*)::int as n from visits')).toEqual(before);
  });

  function deepArray(levels: number): unknown {
    let value: unknown = 1;
    for (let i = 0; i < levels; i++) value = [value];
    return value;
  }

  it('a small file that unpacks to a hundred times its limit is not unpacked', async () => {
    const zip = zipSync({
      ...unzipSync(await archiveOf(agent)),
      'visits/00009-BOMB/visit.json': new Uint8Array(100_000_000),
    });
    expect(zip.length).toBeLessThan(1_000_000);
    const { faults } = archiveImportedSchema.parse((await bring(agent, zip).expect(200)).body);
    expect(faults).toMatchObject([{ file: 'visits/00009-BOMB/visit.json' }]);
    // The same, declared to be small.
    const lying = Buffer.from(zip);
    for (let at = lying.indexOf('PK\x01\x02'); at >= 0; at = lying.indexOf('PK\x01\x02', at + 4)) {
      if (lying.readUInt32LE(at + 24) === 100_000_000) lying.writeUInt32LE(100, at + 24);
    }
    const second = archiveImportedSchema.parse((await bring(agent, lying).expect(200)).body);
    expect(second.faults).toMatchObject([{ file: 'visits/00009-BOMB/visit.json' }]);
  });

  it('is not even read from somebody who may not bring one', async () => {
    const email = 'tech@zip.example';
    const password = 'seven grey gulls';
    await agent
      .post('/api/shop/people')
      .send({ id: randomUUID(), name: 'Tech', email, password, role: 'technician' })
      .expect(200);
    const signedIn = await agentOf(server)
      .post('/api/session')
      .send({ email, password })
      .expect(200);
    const cookie = signedIn.headers['set-cookie']![0]!.split(';')[0]!;
    // The answer comes although the body never does.
    const status = await new Promise<string>((resolve, reject) => {
      const socket = connect(server.port, '127.0.0.1', () =>
        socket.write(
          `POST /api/shop/archive HTTP/1.1\r\nHost: a\r\nCookie: ${cookie}\r\nContent-Type: application/zip\r\nContent-Length: 200000000\r\n\r\nPK`,
        ),
      );
      socket.on('data', (data) => {
        resolve(data.toString().split('\r\n')[0]!);
        socket.destroy();
      });
      socket.on('error', reject);
    });
    expect(status).toContain('403');
  });

  it('leaves the server answering others while it is unpacked', async () => {
    let done = false;
    const working = bring(agent, await archiveOf(agent)).then(({ status }) => {
      done = true;
      return status;
    });
    let asked = 0;
    while (!done) {
      await agentOf(server).get('/api/health').expect(200);
      asked++;
      await new Promise((turn) => setTimeout(turn, 10));
    }
    expect(await working).toBe(200);
    expect(asked).toBeGreaterThan(10);
  });
});

describe('the logo', () => {
  it('is a picture of a sensible size', async () => {
    await agent.put('/api/shop/logo').type('image/png').send(Buffer.from('no picture')).expect(400);
    await agent.put('/api/shop/logo').type('image/png').send(Buffer.alloc(300_000)).expect(413);
    expect((await agent.get('/api/shop/logo').expect(200)).type).toBe('image/png');
    await agent.delete('/api/shop/logo').expect(204);
    await agent.get('/api/shop/logo').expect(404);
  });
});
