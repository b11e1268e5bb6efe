import { randomUUID } from 'node:crypto';
import type { Session, Visit, VisitPage, WorkEstimate } from '@keen/contract';
import {
  DEFAULT_PRICES,
  duePageSchema,
  sharedSheetSchema,
  sheetLinkListSchema,
} from '@keen/contract';
import request from 'supertest';
import { extractText, getDocumentProxy } from 'unpdf';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import { runsOf } from '../src/pdf/paperFonts.ts';
import type { Agent } from './testServer.ts';
import {
  agentOf,
  asOwner,
  bodyOf,
  createDatabase,
  entry,
  getBytes,
  serve,
  setUpShop,
} from './testServer.ts';

let server: RunningServer;
let agent: Agent;
beforeAll(async () => {
  server = await serve(await createDatabase());
  agent = agentOf(server);
  await setUpShop(agent);
});
afterAll(() => server.close());
let cars = 0;

/** A visit with these fields over an evenly worn car, one of its own unless a plate is given. */
async function visitWith(fields: Record<string, unknown>, plate?: string): Promise<string> {
  const id = randomUUID();
  cars += 1;
  await agent
    .post('/api/visits')
    .send({
      id,
      vehicle: {
        id: randomUUID(),
        plate: plate ?? `PDF ${cars}`,
        label: 'Paper van',
        customer: 'Pia Per',
      },
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
async function readSheet(id: string, query = ''): Promise<{ pages: number; text: string }> {
  const response = await getBytes(agent, `/api/visits/${id}/sheet${query}`).expect(200);
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
    expect(text).toContain('Paper van, PDF 1');
    expect(text).toContain('Pia Per');
    expect(text).toMatch(
      /New tires like these should last about \d\d 000 km|With that done, new tires/,
    );
    expect(text).toContain('After 8 000 km: have the tires rotated');
    expect(text).toContain('In 12 months: have the angles checked');
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
    at('Accepted, with tax');
    at('Signed by Pia Per, 1 March 2026.');
    at('Battery: at 50 % of its rating: weak');
    at('Lamps: one is out');
  });

  it('advises by the shop’s own prices', async () => {
    const id = await visitWith({
      // Under 2/32 in from edge to edge, felt on one tire alone: what is plainly uneven is measured at any price.
      'tires.lf.stations.0.centre': 4.3,
      'tires.lf.stations.0.outer': 3.6,
      'tires.rf.stations.0.centre': 4.3,
      'tires.rf.stations.0.outer': 3.6,
      'tires.lf.feather': 'catchesOutward',
    });
    expect((await readSheet(id)).text).toMatch(/Align the wheels|alignment checked/);
    const session = bodyOf<Session>(await agent.get('/api/session').expect(200));
    const { settings } = session.shop;
    const dear = { align: 900_000, check: 900_000, inspect: 900_000 };
    const prices = { ...DEFAULT_PRICES, items: { ...DEFAULT_PRICES.items, ...dear } };
    await agent
      .put('/api/shop/settings')
      .send({ ...settings, prices })
      .expect(200);
    expect((await readSheet(id)).text).not.toMatch(/Align the wheels|alignment checked/);
    const list = (await agent.get('/api/visits').expect(200)).body as VisitPage;
    expect(list.visits.map((visit) => visit.id)).toContain(id);
    await agent.put('/api/shop/settings').send(settings).expect(200);
  });
});

/** A toe case that was measured and set, in the middle of giving it back. */
const ALIGNED = {
  'tires.lf.stations.0.outer': 2.6,
  'tires.rf.stations.0.outer': 2.7,
  'tires.lf.feather': 'catchesOutward',
  'tires.rf.feather': 'catchesOutward',
  'visit.inspect.parts.lf.outerTieRod': 'some',
  'visit.measure.method.toe': 'readout',
  'visit.setRight.before': { lf: { toe: 0.4 }, rf: { toe: 0.38 } },
  'angles.lf': { toe: 0.05 },
  'angles.rf': { toe: 0.05 },
  'visit.setRight.adjuster.toe-lf': 'tieRod',
  'visit.setRight.closing.torque': 'done',
  'visit.setRight.closing.roadTest': 'done',
  complaints: ['wander'],
  'visit.setRight.complaintGone.wander': true,
};

describe('papers in the customer’s language', () => {
  it('says the same in Spanish, with Spanish numbers, on one page of either size', async () => {
    const spanish = {
      'visit.handOver.language': 'es',
      'visit.handOver.units': { depth: 'mm', distance: 'km', pressure: 'bar' },
    };
    const id = await visitWith({ ...ALIGNED, ...spanish });
    const { pages, text } = await readSheet(id);
    expect(pages).toBe(1);
    expect(text).toContain('Las ruedas delanteras han rodado con demasiada convergencia.');
    expect(text).toContain('Demasiada convergencia, eje delantero.');
    expect(text).toMatch(/Casi seguro|Muy probable/);
    expect(text).toContain('Convergencia total, eje delantero +0,78° +0,10°');
    expect(text).toContain('Se desvía: resuelta.');
    expect(text.replace('Test Tires', '')).not.toMatch(/\b(wheel|tire|tread|advise)s?\b/i);
    expect((await readSheet(id, '?paper=LETTER')).pages).toBe(1);
    expect((await readSheet(id, '?language=en')).text).toContain(
      'Total toe, front axle +0.78° +0.10°',
    );
  });

  it('says what the price list has in its language, and what was typed as it was typed', async () => {
    const [align, tires] = estimate.lines;
    const lines = [{ ...align!, item: 'align', what: 'Wheel alignment, all angles set' }, tires];
    const id = await visitWith({ 'visit.estimate': { ...estimate, lines } });
    const { text } = await readSheet(id, '?language=es');
    expect(text).toContain('Alineación completa, todos los ángulos sí 89,00 €');
    expect(text).toContain('2 × New tire, front (“sells the car”) no 196,00 €');
    expect(text).toContain('Total, con el 20 % de impuesto (47,50 €) incluido 285,00 €');
  });

  it('gives the technician every reading, angle with its doubt, adjuster and closing point', async () => {
    const id = await visitWith(ALIGNED);
    const { pages, text } = await readSheet(id, '?kind=technician');
    expect(pages).toBe(1);
    expect(text).toContain('Left front 5.0 5.0 2.6');
    expect(text).toContain('Outer tie rod end, left front: some');
    expect(text).toContain('Toe by rig read-out.');
    expect(text).toMatch(/Toe, left front \+0\.40° \+0\.05° ± 0\.06/);
    expect(text).toContain('Toe, left front tie rod');
    expect(text).toContain('done: Every fastener that was loosened');
    expect(text).toContain('open: Clamps off all four wheels');
    expect(text).toContain('look them up');
    const spanish = await readSheet(id, '?kind=technician&language=es');
    expect(spanish.text).toContain('Rótula exterior de dirección, delantera izquierda: algo');
    expect(spanish.text.replace('Test Tires', '')).not.toMatch(/\b(wheel|tire|tread|found)s?\b/i);
  });

  it('refuses a language that nobody wrote', async () => {
    const id = await visitWith({});
    await agent.get(`/api/visits/${id}/sheet?language=xx`).expect(400);
  });
});

describe('a link to the sheet', () => {
  it('shows the sheet as it was to whoever has it, until it is ended', async () => {
    const id = await visitWith({});
    const order = { id: randomUUID(), days: 7 };
    const made = sheetLinkListSchema.parse(
      (await agent.post(`/api/visits/${id}/links`).send(order).expect(200)).body,
    );
    const [link] = made;
    expect(made).toHaveLength(1);
    expect(link!.token.length).toBeGreaterThan(30);
    const stranger = request(`http://127.0.0.1:${server.port}`);
    const read = async () => stranger.get(`/api/shared/${link!.token}`);
    const shared = sharedSheetSchema.parse((await read()).body);
    expect(shared.paper.headline).toBe('This tread fits a car with nothing out.');
    // What is learned later is not the customer's sheet.
    await agent
      .post(`/api/visits/${id}/entries`)
      .send({ entries: [entry('tires.lr.damage', ['cords'])] })
      .expect(200);
    expect(sharedSheetSchema.parse((await read()).body).paper.unsafe).toBeNull();
    const list = (await agent.get(`/api/visits/${id}/links`).expect(200)).body as unknown;
    expect(sheetLinkListSchema.parse(list)[0]!.opened).toBe(2);
    await agent.delete(`/api/links/${link!.id}`).expect(204);
    expect((await read()).status).toBe(404);
  });

  it('ends by itself, and cannot be guessed or made by a stranger', async () => {
    const id = await visitWith({});
    const order = { id: randomUUID(), days: 7 };
    await agent.post(`/api/visits/${id}/links`).send(order).expect(200);
    await asOwner(
      server,
      `update sheet_links set ends_at = now() - interval '1 minute' where id = $1`,
      [order.id],
    );
    const stranger = request(`http://127.0.0.1:${server.port}`);
    const rows = await asOwner<{ token: string }>(
      server,
      'select token from sheet_links where id = $1',
      [order.id],
    );
    await stranger.get(`/api/shared/${rows[0]!.token}`).expect(404);
    await stranger.get('/api/shared/anything').expect(404);
    await stranger.post(`/api/visits/${id}/links`).send(order).expect(401);
    await agent
      .post(`/api/visits/${id}/links`)
      .send({ ...order, days: 4000 })
      .expect(400);
  });
});

describe('what is due', () => {
  const next = [
    { what: 'nuts', on: '2026-03-04', afterKm: 100, state: 'open' },
    { what: 'tread', on: '2026-09-01', afterKm: 8_000, state: 'open' },
    { what: 'alignment', on: '2027-03-01', afterKm: null, state: 'done' },
  ];

  it('stands on the shop’s list, soonest first, until a later visit puts down its own', async () => {
    const plate = 'DUE 1';
    const id = await visitWith({ 'visit.handOver.next': next }, plate);
    const due = async () =>
      duePageSchema
        .parse((await agent.get('/api/due').expect(200)).body)
        .rows.filter((one) => one.plate === plate);
    expect((await due()).map(({ reminder, visitId }) => [reminder.what, visitId === id])).toEqual([
      ['nuts', true],
      ['tread', true],
    ]);
    await visitWith({ 'visit.handOver.next': [next[1]] }, plate);
    expect((await due()).map(({ reminder }) => reminder.what)).toEqual(['tread']);
  });

  it('comes as a calendar file with a day each, in the customer’s language', async () => {
    const id = await visitWith({ 'visit.handOver.next': next, 'visit.handOver.language': 'es' });
    const { text, type } = await agent.get(`/api/visits/${id}/due.ics`).expect(200);
    expect(type).toBe('text/calendar');
    const plain = text.replace(/\r\n[ \t]/g, '');
    expect(plain.match(/BEGIN:VEVENT/g)).toHaveLength(2);
    expect(plain).toContain('DTSTART;VALUE=DATE:20260304');
    expect(plain).toContain('volver a apretar las tuercas de las ruedas');
    await agent.get(`/api/visits/${await visitWith({})}/due.ics`).expect(409);
  });
});

describe('letters on paper', () => {
  it.each([
    ['Polish, Czech, Croatian and Turkish', 'Łukasz Řeřicha Đorđe Ģirts İğne'],
    ['Greek', 'Ωμέγα Ελαστικά'],
    ['Cyrillic', 'Жук Шины Љубав'],
    ['signs of limits', '≤ 1.6 ≥ 3.0 ± 0.2 −0.5°'],
  ])('%s are drawn, and read back from the PDF as they were', async (_name, words) => {
    const id = await visitWith({});
    const detail = bodyOf<{ visit: Visit }>(await agent.get(`/api/visits/${id}`).expect(200));
    await agent.put(`/api/vehicles/${detail.visit.vehicle.id}`).send({ label: words }).expect(200);
    const { text } = await readSheet(id);
    expect(text.replace(/\s+/g, ' ')).toContain(words);
  });

  it('that no font has show a mark instead of a hole', () => {
    expect(
      runsOf('a漢b', 'Archivo')
        .map(({ text }) => text)
        .join(''),
    ).toBe('a?b');
    expect(runsOf('Łó', 'Archivo')).toEqual([
      { text: 'Ł', font: 'ArchivoExtended' },
      { text: 'ó', font: 'Archivo' },
    ]);
  });
});
