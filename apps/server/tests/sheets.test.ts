import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { StoredSheet, Learned, Session, SpecSheet, Visit } from '@keen/contract';
import { DEFAULT_SHOP_SETTINGS, storedSheetListSchema } from '@keen/contract';
import type { RunningServer } from '../src/createServer.ts';
import {
  agentOf,
  bodyOf,
  createDatabase,
  LEAD,
  secondShop,
  serve,
  setUpShop,
} from './testServer.ts';
import type { Agent } from './testServer.ts';

let server: RunningServer;
let agent: Agent;
beforeAll(async () => {
  server = await serve(await createDatabase());
  agent = agentOf(server);
  await setUpShop(agent);
});
afterAll(() => server.close());

const sheet = (name: string, change: Partial<SpecSheet> = {}): SpecSheet => ({
  format: 'keen-groove/specification',
  version: 1,
  name,
  kind: 'maker',
  source: 'Workshop book, page 12',
  totalToe: { front: { low: 0, target: 0.1, high: 0.2 } },
  ...change,
});
const revision = (of: SpecSheet, change: object = {}) => ({
  id: randomUUID(),
  revisionId: randomUUID(),
  basedOn: 0,
  sheet: of,
  retired: false,
  ...change,
});
async function keep(sheets: object[], status = 200, by = agent) {
  return bodyOf<StoredSheet[]>(await by.post('/api/sheets').send({ sheets }).expect(status));
}

describe('specification sheets', () => {
  it('are kept with who entered them, and every change is a revision', async () => {
    const first = revision(sheet('Van'));
    const kept = (await keep([first])).find(({ id }) => id === first.id);
    expect(kept).toMatchObject({ revision: 1, enteredBy: LEAD.name, retired: false });
    const list = await keep([
      { ...first, revisionId: randomUUID(), basedOn: 1, sheet: sheet('Van', { note: 'checked' }) },
    ]);
    expect(storedSheetListSchema.safeParse(list).success).toBe(true);
    expect(list.filter(({ id }) => id === first.id)).toMatchObject([
      { revision: 2, sheet: { note: 'checked' } },
    ]);
  });

  it('count once when sent twice', async () => {
    const twice = revision(sheet('Twice'));
    await keep([twice]);
    const list = await keep([twice]);
    expect(list.filter(({ id }) => id === twice.id)).toMatchObject([{ revision: 1 }]);
  });

  it('refuse a change made from an old revision, and then keep none of them', async () => {
    const first = revision(sheet('Old'));
    await keep([first]);
    const fresh = revision(sheet('Fresh'));
    await keep([fresh, { ...first, revisionId: randomUUID(), basedOn: 0 }], 409);
    const list = bodyOf<StoredSheet[]>(await agent.get('/api/sheets').expect(200));
    expect(list.map(({ sheet: { name } }) => name)).not.toContain('Fresh');
  });

  it('say which figure is wrong', async () => {
    const wrong = sheet('Wrong', { totalToe: { front: { low: 0.2, high: 0.1 } } });
    const answer = await agent
      .post('/api/sheets')
      .send({ sheets: [revision(wrong)] })
      .expect(400);
    expect(bodyOf<{ errors: unknown }>(answer).errors).toEqual([
      {
        path: 'sheets.0.sheet.totalToe.front.high',
        expected: 'more than the low of 0.2',
        reason: 'moreThanLow',
        values: { low: 0.2 },
      },
    ]);
  });

  /** A sheet whose cars have taught what a turn does. */
  let taughtId = '';

  it('know what a turn did on their cars, and bring it along for the same car', async () => {
    const own = revision(sheet('Taught'));
    await keep([own]);
    const at = '2026-03-01T10:00:00.000Z';
    const used = {
      sheetId: own.id,
      revision: 1,
      enteredBy: LEAD.name,
      enteredAt: at,
      sheet: own.sheet,
    };
    const turn = { at, adjuster: 'tieRod', amount: 0.5, from: 1.9, to: 0.9 };
    const entry = (path: string, value: unknown) => ({ id: randomUUID(), path, value, at });
    const vehicle = { id: randomUUID(), plate: 'TURN 1', label: '', customer: '' };
    await agent
      .post('/api/visits')
      .send({
        id: randomUUID(),
        vehicle,
        entries: [
          entry('visit.sheet', used),
          entry('visit.measure.method.toe', 'readout'),
          entry('visit.setRight.turns.toe-lf', [turn]),
        ],
      })
      .expect(200);
    const learned = {
      adjuster: 'tieRod',
      kind: 'toe',
      axle: 'front',
      perUnit: expect.closeTo(2, 6) as number,
      sd: expect.any(Number) as number,
      at,
    };
    taughtId = own.id;
    const turns = await agent.get(`/api/sheets/${own.id}/turns`).expect(200);
    expect(bodyOf<Learned[]>(turns)).toEqual([learned]);
    await agent.get('/api/sheets/nothing/turns').expect(404);

    const next = await agent
      .post('/api/visits')
      .send({ id: randomUUID(), vehicle: { id: vehicle.id }, entries: [] })
      .expect(200);
    expect(bodyOf<Visit>(next).draft.visit?.car?.learned).toEqual([learned]);
  });

  it('stay within the shop', async () => {
    const own = revision(sheet('Own'));
    await keep([own]);
    const other = await secondShop(server);
    expect(bodyOf<StoredSheet[]>(await other.get('/api/sheets').expect(200))).toEqual([]);
    const turns = await other.get(`/api/sheets/${taughtId}/turns`).expect(200);
    expect(bodyOf<Learned[]>(turns)).toEqual([]);
    await keep([own], 409, other);
  });
});

describe('shop settings', () => {
  it('are the same for everybody in the shop', async () => {
    const settings = {
      ...DEFAULT_SHOP_SETTINGS,
      hubShims: [0.25, 0.5],
      armShims: [0.8, 1.6],
      readingOrder: 'axleByAxle',
    };
    await agent.put('/api/shop/settings').send(settings).expect(200);
    const session = bodyOf<Session>(await agent.get('/api/session').expect(200));
    expect(session.shop.settings).toEqual(settings);
    await agent
      .put('/api/shop/settings')
      .send({ ...settings, hubShims: [-1] })
      .expect(400);
  });
});
