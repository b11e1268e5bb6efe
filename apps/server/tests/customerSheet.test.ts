import { randomUUID } from 'node:crypto';
import type { Session, Visit, WorkEstimate } from '@keen/contract';
import { DEFAULT_PRICES } from '@keen/contract';
import { extractText, getDocumentProxy } from 'unpdf';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import type { Agent } from './testServer.ts';
import { agentOf, bodyOf, createDatabase, entry, serve, setUpShop } from './testServer.ts';

let server: RunningServer;
let agent: Agent;
beforeAll(async () => {
  server = await serve(await createDatabase());
  agent = agentOf(server);
  await setUpShop(agent);
});
afterAll(() => server.close());

/** A visit with these fields over an evenly worn car. */
async function visitWith(fields: Record<string, unknown>): Promise<string> {
  const id = randomUUID();
  await agent
    .post('/api/visits')
    .send({
      id,
      vehicle: { id: randomUUID(), plate: 'PDF 1', label: 'Paper van', customer: 'Pia Per' },
      entries: [],
    })
    .expect(200);
  const even = Object.fromEntries(
    (['lf', 'rf', 'lr', 'rr'] as const).flatMap((wheel) => [
      [`tires.${wheel}.newDepth`, 8],
      [`tires.${wheel}.distance`, 30_000],
      ...(['inner', 'centre', 'outer'] as const).map((rib) => [
        `tires.${wheel}.stations.0.${rib}`,
        wheel.endsWith('f') ? 5 : 6.2,
      ]),
    ]),
  ) as Record<string, unknown>;
  const entries = Object.entries({ 'vehicle.drive': 'fwd', ...even, ...fields }).map(
    ([path, value]) => entry(path, value),
  );
  await agent.post(`/api/visits/${id}/entries`).send({ entries }).expect(200);
  return id;
}

/** The sheet as a reader of PDF files finds it. */
async function readSheet(id: string): Promise<{ pages: number; text: string }> {
  const response = await agent
    .get(`/api/visits/${id}/sheet`)
    .buffer(true)
    .parse((res, done) => {
      const chunks: Buffer[] = [];
      res.on('data', (chunk: Buffer) => chunks.push(chunk));
      res.on('end', () => done(null, Buffer.concat(chunks)));
    })
    .expect(200);
  const document = await getDocumentProxy(new Uint8Array(bodyOf<Buffer>(response)));
  const { totalPages, text } = await extractText(document, { mergePages: true });
  return { pages: totalPages, text: text.replace(/\s+/g, ' ') };
}

const estimate: WorkEstimate = {
  version: 2,
  currency: 'EUR',
  taxPercent: 20,
  taxMode: 'included',
  lines: [
    {
      id: randomUUID(),
      what: 'Wheel alignment',
      quantity: 1,
      unitMinor: 8_900,
      answer: 'accepted',
    },
    {
      id: randomUUID(),
      what: 'New tire, front',
      quantity: 2,
      unitMinor: 9_800,
      answer: 'declined',
      reason: 'sells the car',
    },
  ],
  signed: { name: 'Pia Per', at: '2026-03-01T10:00:00.000Z' },
};

describe('the customer’s sheet', () => {
  it('of an ordinary car is one page: what to do, what tires would live, what comes next', async () => {
    const { pages, text } = await readSheet(await visitWith({}));
    expect(pages).toBe(1);
    expect(text).toContain('Paper van · PDF 1');
    expect(text).toContain('Pia Per');
    expect(text).toMatch(
      /New tires like these would live about \d\d 000 km|With that done new tires/,
    );
    expect(text).toContain('Next: after 8 000 km have the tread looked at');
    expect(text).toContain('in 12 months have the angles checked');
    expect(text).not.toContain('Not safe to drive');
    expect(text).toContain('licensed technician decide');
  });

  it('of a full visit is one page too, with safety first, the estimate and the walk-round', async () => {
    const { pages, text } = await readSheet(
      await visitWith({
        'tires.lr.damage': ['cords'],
        'visit.estimate': estimate,
        'visit.quick.battery': { rated: 600, measured: 300 },
        'visit.quick.lamps': 'fault',
      }),
    );
    expect(pages).toBe(1);
    const at = (part: string) => {
      expect(text).toContain(part);
      return text.indexOf(part);
    };
    expect(at('Not safe to drive: left rear.')).toBeLessThan(at('What we advise'));
    at('Estimate, version 2');
    at('2 × New tire, front (“sells the car”)');
    at('€285.00');
    at('Said yes to, with tax');
    at('Signed by Pia Per, 2026-03-01.');
    at('Battery: at 50 % of its rating: weak');
    at('Lamps: one is out');
  });

  it('advises by the shop’s own prices', async () => {
    const id = await visitWith({
      'tires.lf.stations.0.outer': 2.6,
      'tires.rf.stations.0.outer': 2.7,
      'tires.lf.feather': 'catchesOutward',
      'tires.rf.feather': 'catchesOutward',
    });
    expect((await readSheet(id)).text).toContain('Align before new tires go on.');
    const session = bodyOf<Session>(await agent.get('/api/session').expect(200));
    const { settings } = session.shop;
    const dear = { align: 900_000, check: 900_000, inspect: 900_000 };
    const prices = { ...DEFAULT_PRICES, items: { ...DEFAULT_PRICES.items, ...dear } };
    await agent
      .put('/api/shop/settings')
      .send({ ...settings, prices })
      .expect(200);
    expect((await readSheet(id)).text).not.toContain('Align before new tires go on.');
    const list = (await agent.get('/api/visits').expect(200)).body as Visit[];
    expect(list.map((visit) => visit.id)).toContain(id);
    await agent.put('/api/shop/settings').send(settings).expect(200);
  });
});
