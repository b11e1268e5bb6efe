import { randomUUID } from 'node:crypto';
import type { CustomerRecord, Session, VisitDetail } from '@keen/contract';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import { applyRetention } from '../src/customers/retention.ts';
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
  toeInReadings,
} from './testServer.ts';
import type { Agent } from './testServer.ts';

let server: RunningServer;
let lead: Agent;
beforeAll(async () => {
  server = await serve(await createDatabase());
  lead = agentOf(server);
  await setUpShop(lead);
});
afterAll(() => server.close());

const SECRETS = [
  'Zelda Quint',
  '+44 20 7946 0018',
  'Z 900 QT',
  'pulls when my dog barks',
  'no money, says Zelda',
];

/** A visit in which everything that names a customer has been entered. */
async function visitOf(plate: string): Promise<{ visitId: string; carId: string }> {
  const visit = await arrive(lead, plate);
  const { id: carId } = visit.vehicle;
  await lead
    .put(`/api/vehicles/${carId}`)
    .send({ customer: SECRETS[0], phone: SECRETS[1], vin: '1M8GDM9AXKP042788' })
    .expect(200);
  const line = {
    id: randomUUID(),
    what: 'Align',
    quantity: 1,
    unitMinor: 8_900,
    answer: 'declined',
    reason: SECRETS[4],
  };
  const estimate = {
    version: 1,
    currency: 'EUR',
    taxPercent: 20,
    taxMode: 'included',
    lines: [line],
  };
  const signed = { name: SECRETS[0], at: new Date().toISOString(), strokes: [[1, 2, 3, 4]] };
  await lead
    .post(`/api/visits/${visit.id}/entries`)
    .send({
      entries: [
        ...toeInReadings(),
        entry('visit.words', SECRETS[3]),
        entry('visit.estimate', { ...estimate, signed }),
      ],
    })
    .expect(200);
  await lead
    .post(`/api/visits/${visit.id}/decisions`)
    .send({ id: randomUUID(), action: 'fitOnly', replace: [], answer: 'no', reason: SECRETS[4] })
    .expect(200);
  await lead.post(`/api/visits/${visit.id}/links`).send({ id: randomUUID(), days: 7 }).expect(200);
  const picture = await sharp({ create: { width: 9, height: 9, channels: 3, background: '#123' } })
    .png()
    .toBuffer();
  await lead
    .put(`/api/visits/${visit.id}/photos/${randomUUID()}`)
    .set('content-type', 'image/png')
    .send(picture)
    .expect(200);
  return { visitId: visit.id, carId };
}

/** Every row that a shop has, as text. */
async function everything(): Promise<string> {
  const tables = [
    'vehicles',
    'visits',
    'entries',
    'decisions',
    'photos',
    'sheet_links',
    'audit_log',
  ];
  const texts = [];
  for (const table of tables) {
    texts.push(JSON.stringify(await asOwner(server, `select to_jsonb(t) as row from ${table} t`)));
  }
  return texts.join('\n');
}

describe('what is stored of a customer', () => {
  it('is shown to the lead, exported, and both are logged', async () => {
    const { carId } = await visitOf('Z 900 QT');
    const record = bodyOf<CustomerRecord>(await lead.get(`/api/customers/${carId}`).expect(200));
    expect(record).toMatchObject({
      customer: SECRETS[0],
      phone: SECRETS[1],
      vin: '1M8GDM9AXKP042788',
      visits: [{ words: SECRETS[3], signedBy: SECRETS[0], photos: 1, links: 1 }],
    });
    expect(record.visits[0]!.reasons).toEqual([SECRETS[4], SECRETS[4]]);
    const file = await lead.get(`/api/customers/${carId}`).query({ export: 'true' }).expect(200);
    expect(file.headers['content-disposition']).toMatch(/attachment/);
    const kinds = await asOwner<{ kind: string }>(
      server,
      'select kind from audit_log order by id desc limit 2',
    );
    expect(kinds.map(({ kind }) => kind)).toEqual(['customerExported', 'customerShown']);
    const stranger = await secondShop(server);
    await stranger.get(`/api/customers/${carId}`).expect(404);
    await stranger.delete(`/api/customers/${carId}`).expect(404);
  });

  it('is erased wherever it stands; readings stay, of a car without a name', async () => {
    const before = await everything();
    for (const secret of SECRETS) expect(before).toContain(secret);
    const [car] = await asOwner<{ id: string }>(
      server,
      `select id from vehicles where customer = $1`,
      [SECRETS[0]],
    );
    await lead.delete(`/api/customers/${car!.id}`).expect(204);
    const after = await everything();
    for (const secret of [...SECRETS, '1M8GDM9AXKP042788', 'strokes'])
      expect(after).not.toContain(secret);
    const [visit] = await asOwner<{ id: string }>(
      server,
      'select id from visits where vehicle_id = $1',
      [car!.id],
    );
    const detail = bodyOf<VisitDetail>(await lead.get(`/api/visits/${visit!.id}`).expect(200));
    expect(detail.visit.draft.tires?.lf?.stations?.[0]?.outer).toBe(3.4);
    expect(detail.visit.draft.visit?.estimate?.lines[0]).toMatchObject({
      what: 'Align',
      unitMinor: 8_900,
    });
    expect(detail.visit.draft.visit?.words ?? null).toBeNull();
    expect(detail.visit.vehicle).toMatchObject({ customer: '', phone: '', vin: '' });
    const record = bodyOf<CustomerRecord>(await lead.get(`/api/customers/${car!.id}`).expect(200));
    expect(record.erasedAt).not.toBeNull();
    expect(record.visits[0]).toMatchObject({
      words: '',
      signedBy: null,
      reasons: [],
      photos: 0,
      links: 0,
    });
    // Erasing twice is no error, and a new visit of the same plate is another car.
    await lead.delete(`/api/customers/${car!.id}`).expect(204);
    expect((await arrive(lead, 'Z 900 QT')).vehicle.id).not.toBe(car!.id);
  });

  it('goes by itself when the shop’s period has passed, and pictures by theirs', async () => {
    const [old, fresh] = [await visitOf('OLD 1'), await visitOf('FRESH 1')];
    const { shop } = bodyOf<Session>(await lead.get('/api/session').expect(200));
    await asOwner(
      server,
      `update visits set arrived_at = now() - interval '13 months' where id = $1`,
      [old.visitId],
    );
    const { db, log } = server.context;
    await applyRetention(db, log);
    expect(await everything()).toContain('OLD 1');
    await lead
      .put('/api/shop/settings')
      .send({ retention: { customerMonths: 24, photoMonths: 12 } })
      .expect(200);
    await applyRetention(db, log);
    const photos = async (id: string) =>
      bodyOf<unknown[]>(await lead.get(`/api/visits/${id}/photos`).expect(200)).length;
    expect([await photos(old.visitId), await photos(fresh.visitId)]).toEqual([0, 1]);
    expect(await everything()).toContain('OLD 1');
    await lead
      .put('/api/shop/settings')
      .send({ retention: { customerMonths: 12, photoMonths: null } })
      .expect(200);
    await applyRetention(db, log);
    const after = await everything();
    expect(after).not.toContain('OLD 1');
    expect(after).toContain('FRESH 1');
    const logged = await asOwner<{ shop_id: string; detail: { customers: number } }>(
      server,
      `select shop_id, detail from audit_log where kind = 'retention' order by id desc limit 1`,
    );
    expect(logged).toEqual([{ shop_id: shop.id, detail: { customers: 1, photos: 0 } }]);
  });
});
