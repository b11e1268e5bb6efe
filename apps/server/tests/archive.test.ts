import { randomUUID } from 'node:crypto';
import type { Session, Visit, VisitDetail } from '@keen/contract';
import {
  DEFAULT_SHOP_SETTINGS,
  archiveTakenSchema,
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
  arrive,
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

async function archiveOf(from: Agent): Promise<Buffer> {
  const response = await from
    .get('/api/shop/archive')
    .buffer(true)
    .parse((res, done) => {
      const chunks: Buffer[] = [];
      res.on('data', (chunk: Buffer) => chunks.push(chunk));
      res.on('end', () => done(null, Buffer.concat(chunks)));
    })
    .expect(200);
  return bodyOf<Buffer>(response);
}

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
      const taken = archiveTakenSchema.parse((await bring(lead, zip).expect(200)).body);
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
      const again = archiveTakenSchema.parse((await bring(lead, zip).expect(200)).body);
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

  it('is taken from before a setting was added, with that setting’s default', async () => {
    const files = unzipSync(await archiveOf(agent));
    const shop = JSON.parse(strFromU8(files['shop.json']!)) as {
      settings: { houseRules?: object; limits: object; prices: { packages?: object } };
    };
    delete shop.settings.houseRules;
    delete shop.settings.prices.packages;
    shop.settings.limits = { legal: 2, advise: 3, snow: 4 };
    files['shop.json'] = strToU8(JSON.stringify(shop));
    const other = await serve(await createDatabase());
    try {
      const lead = agentOf(other);
      await setUpShop(lead);
      const taken = archiveTakenSchema.parse((await bring(lead, zipSync(files)).expect(200)).body);
      expect(taken).toMatchObject({ settings: true, faults: [] });
      const { settings } = bodyOf<Session>(await lead.get('/api/session').expect(200)).shop;
      expect(settings).toMatchObject({
        limits: { legal: 2 },
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
    const taken = archiveTakenSchema.parse((await bring(agent, zip).expect(200)).body);
    expect(taken.known).toBe(1);
    expect(taken.faults).toEqual([
      { file: 'visits/00002-X/visit.json', expected: 'entries.0: a field of a visit' },
      { file: 'visits/00003-Y/visit.json', expected: 'JSON' },
    ]);
  });

  it('is refused when it is none, and from anybody but the lead', async () => {
    const none = await bring(agent, Buffer.from('no zip at all')).expect(400);
    expect(none.body).toMatchObject({ title: 'This is no archive of a shop' });
    await bring(agent, zipSync({ 'a.txt': strToU8('a') })).expect(400);
    const stranger = await secondShop(server, 'advisor');
    await bring(stranger, await archiveOf(agent)).expect(403);
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
