import { randomUUID } from 'node:crypto';
import type {
  Instrument,
  Session,
  Study,
  StudyPage,
  UsedSpread,
  Visit,
  VisitDetail,
} from '@keen/contract';
import { readingSpread, ROUNDING_MM, studySoFar } from '@keen/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import {
  agentOf,
  archiveOf,
  arrive,
  bodyOf,
  createDatabase,
  secondShop,
  serve,
  setUpShop,
} from './testServer.ts';
import type { Agent } from './testServer.ts';

let server: RunningServer;
let agent: Agent;
let other: Agent;
let ownId: string;
let secondId: string;
beforeAll(async () => {
  server = await serve(await createDatabase());
  agent = agentOf(server);
  ownId = (await setUpShop(agent)).person.id;
  other = await secondShop(server);
  secondId = randomUUID();
  const email = 'second@shop.example';
  const password = 'tall harbour crane 7';
  await agent
    .post('/api/shop/people')
    .send({ id: secondId, name: 'Second Reader', email, password, role: 'advisor' })
    .expect(200);
});
afterAll(() => server.close());

const plan = (change: object = {}) => ({
  id: randomUUID(),
  name: 'Depth gauge, all of us',
  readIn: 'mm',
  people: [ownId, secondId],
  marks: ['lf inner', 'lf outer', 'spare, centre'],
  trials: 2,
  ...change,
});
const start = async (change: object = {}) =>
  bodyOf<Study>(await agent.post('/api/gauge-studies').send(plan(change)).expect(200));
const read = (id: string, person: number, trial: number, mark: number, mm: number | null) =>
  agent.put(`/api/gauge-studies/${id}/reading`).send({ person, trial, mark, mm });

/** Reads everything: marks of 3, 5 and 7 mm, the second person deeper, each time a little off. */
async function readAll(id: string): Promise<Study> {
  let study: Study | null = null;
  for (const person of [0, 1]) {
    for (const trial of [0, 1]) {
      for (const mark of [0, 1, 2]) {
        const mm = 3 + 2 * mark + 0.2 * person + (trial === mark % 2 ? 0.1 : 0);
        study = bodyOf<Study>(await read(id, person, trial, mark, mm).expect(200));
      }
    }
  }
  return study!;
}

describe('a gauge study', () => {
  it('is laid out once, however often it is asked for', async () => {
    const wanted = plan();
    const once = bodyOf<Study>(await agent.post('/api/gauge-studies').send(wanted).expect(200));
    const twice = bodyOf<Study>(
      await agent
        .post('/api/gauge-studies')
        .send({ ...wanted, name: 'Another' })
        .expect(200),
    );
    expect(twice).toEqual(once);
    expect(once).toMatchObject({ people: [ownId, secondId], taken: 0, closedAt: null });
  });

  it('refuses people who are not of the shop, doubles, and too few', async () => {
    const refused = async (change: object, path: string) => {
      const answer = await agent.post('/api/gauge-studies').send(plan(change)).expect(400);
      expect(bodyOf<{ errors: { path: string }[] }>(answer).errors[0]!.path).toBe(path);
    };
    await refused({ people: [ownId, randomUUID()] }, 'people.1');
    await refused({ people: [ownId, ownId.toUpperCase()] }, 'people');
    await refused({ marks: ['one', 'one'] }, 'marks');
    await refused({ trials: 1 }, 'trials');
  });

  it('keeps readings, replaces one read again, and takes one away', async () => {
    const { id } = await start();
    await read(id, 0, 0, 0, 3.1).expect(200);
    await read(id, 1, 1, 2, 7).expect(200);
    const again = bodyOf<Study>(await read(id, 0, 0, 0, 3.3).expect(200));
    expect(again.readings).toEqual([
      { person: 0, trial: 0, mark: 0, mm: 3.3 },
      { person: 1, trial: 1, mark: 2, mm: 7 },
    ]);
    const less = bodyOf<Study>(await read(id, 1, 1, 2, null).expect(200));
    expect(less.taken).toBe(1);
    await read(id, 2, 0, 0, 3).expect(400);
    await read(id, 0, 2, 0, 3).expect(400);
    await read(id, 0, 0, 3, 3).expect(400);
    await read(randomUUID(), 0, 0, 0, 3).expect(404);
  });

  it('takes no reading once closed, and some again when opened', async () => {
    const { id } = await start();
    const closed = (yes: boolean) =>
      agent.put(`/api/gauge-studies/${id}/closed`).send({ closed: yes }).expect(200);
    expect(bodyOf<Study>(await closed(true)).closedAt).not.toBeNull();
    await read(id, 0, 0, 0, 3).expect(409);
    await closed(false);
    await read(id, 0, 0, 0, 3).expect(200);
  });

  it('is read by two at once without either losing one', async () => {
    const { id } = await start({ trials: 5 });
    await Promise.all(
      [0, 1, 2, 3, 4].flatMap((trial) =>
        [0, 1].map((person) => read(id, person, trial, 0, 3).expect(200)),
      ),
    );
    const study = bodyOf<Study>(await agent.get(`/api/gauge-studies/${id}`).expect(200));
    expect(study.taken).toBe(10);
  });

  it('is nobody else’s', async () => {
    const { id } = await start();
    await other.get(`/api/gauge-studies/${id}`).expect(404);
    await other
      .put(`/api/gauge-studies/${id}/reading`)
      .send({ person: 0, trial: 0, mark: 0, mm: 3 })
      .expect(404);
    expect(bodyOf<StudyPage>(await other.get('/api/gauge-studies').expect(200)).studies).toEqual(
      [],
    );
  });

  it('is listed page by page, latest first', async () => {
    for (let i = 0; i < 22; i++) await start({ name: `Study ${i}` });
    const first = bodyOf<StudyPage>(await agent.get('/api/gauge-studies').expect(200));
    expect(first.studies[0]!.name).toBe('Study 21');
    expect(first.studies).toHaveLength(20);
    const { before } = first;
    const second = bodyOf<StudyPage>(
      await agent.get('/api/gauge-studies').query({ before }).expect(200),
    );
    const seen = new Set(first.studies.map(({ id }) => id));
    expect(second.studies.some(({ id }) => seen.has(id))).toBe(false);
    expect(second.studies[0]!.name).toBe('Study 1');
  });
});

describe('what a study found', () => {
  const settings = async () =>
    bodyOf<Session>(await agent.get('/api/session').expect(200)).shop.settings;

  it('is taken into use by the lead once it is whole: new visits go by it, old ones do not', async () => {
    const before = await arrive(agent);
    const { id } = await start();
    await read(id, 0, 0, 0, 3).expect(200);
    await agent.put(`/api/gauge-studies/${id}/used`).expect(409);
    const { readings } = await readAll(id);
    const used = bodyOf<UsedSpread>(await agent.put(`/api/gauge-studies/${id}/used`).expect(200));
    const { result } = studySoFar({ people: 2, trials: 2, marks: 3 }, readings);
    expect(used.mm).toBeCloseTo(readingSpread(result!, ROUNDING_MM.mm), 4);
    expect((await settings()).readingSpread).toEqual(used);
    const spreadOf = async ({ id: visitId }: Visit) =>
      bodyOf<VisitDetail>(await agent.get(`/api/visits/${visitId}`).expect(200)).visit.draft
        .readingSpread;
    const after = await arrive(agent);
    expect(await spreadOf(after)).toBe(used.mm);
    expect(await spreadOf(before)).toBeUndefined();
    // The case file of the visit, which every answer is worked out from, carries it along.
    const file = await agent.get(`/api/visits/${after.id}/case`).expect(200);
    expect(bodyOf<{ readingSpread: number }>(file).readingSpread).toBe(used.mm);
    // Undone with one press.
    await agent.put('/api/shop/settings').send({ readingSpread: null }).expect(200);
    expect(await spreadOf(await arrive(agent))).toBeUndefined();
    expect(await spreadOf(after)).toBe(used.mm);
  });
});

describe('the shop’s gauges', () => {
  const keep = async (change: Partial<Instrument> = {}, id: string = randomUUID()) => {
    const gauge = {
      name: 'Rig 1',
      kind: 'readout',
      certified: null,
      block: [0, 1],
      retired: false,
      ...change,
    };
    const list = await agent.put(`/api/instruments/${id}`).send(gauge).expect(200);
    return bodyOf<Instrument[]>(list).find((one) => one.id === id)!;
  };
  const check = (id: string, off: number, at = new Date().toISOString()) =>
    agent
      .post(`/api/instruments/${id}/checks`)
      .send({ id: randomUUID(), at, points: [{ known: 1, read: 1 + off }], note: '' })
      .expect(200);

  it('are kept, renamed, put away, and stay what they are', async () => {
    const gauge = await keep({ name: 'Level 1', kind: 'level' });
    expect(
      await keep({ name: 'Level, long', kind: 'level', retired: true }, gauge.id),
    ).toMatchObject({ name: 'Level, long', retired: true, checks: [] });
    await agent
      .put(`/api/instruments/${gauge.id}`)
      .send({ name: 'X', kind: 'strings', certified: null, block: [], retired: false })
      .expect(409);
    expect(bodyOf<Instrument[]>(await other.get('/api/instruments').expect(200))).toEqual([]);
    await other
      .post(`/api/instruments/${gauge.id}/checks`)
      .send({
        id: randomUUID(),
        at: new Date().toISOString(),
        points: [{ known: 1, read: 1 }],
        note: '',
      })
      .expect(404);
  });

  it('are checked, latest first, and a visit goes by what the checks found', async () => {
    const { id } = await keep({ certified: 0.02 });
    await check(id, 0.03, '2026-01-05T08:00:00.000Z');
    const list = bodyOf<Instrument[]>(await check(id, -0.04, '2026-02-05T08:00:00.000Z'));
    const { checks } = list.find((one) => one.id === id)!;
    expect(checks.map(({ points }) => points[0]!.read)).toEqual([0.96, 1.03]);
    expect(checks[0]!.by).not.toBe('');
    const { id: visitId } = await arrive(agent);
    const { visit } = bodyOf<VisitDetail>(await agent.get(`/api/visits/${visitId}`).expect(200));
    expect(visit.draft.visit?.measure?.instruments).toEqual({
      readout: {
        name: 'Rig 1',
        checkedAt: '2026-02-05T08:00:00.000Z',
        errorSd: 0.0354,
        certified: 0.02,
      },
    });
  });

  it('go out with the archive and come in again, studies too', async () => {
    const { id } = await start({ name: 'For the archive' });
    await readAll(id);
    await agent.put(`/api/gauge-studies/${id}/closed`).send({ closed: true }).expect(200);
    const zip = await archiveOf(agent);
    const second = await serve(await createDatabase());
    try {
      const lead = agentOf(second);
      await setUpShop(lead);
      await lead
        .post('/api/shop/archive')
        .set('content-type', 'application/zip')
        .send(zip)
        .expect(200);
      const [mine, theirs] = await Promise.all(
        [agent, lead].map(async (from) => ({
          study: bodyOf<Study>(await from.get(`/api/gauge-studies/${id}`).expect(200)),
          gauges: bodyOf<Instrument[]>(await from.get('/api/instruments').expect(200)),
          settings: bodyOf<Session>(await from.get('/api/session').expect(200)).shop.settings,
        })),
      );
      expect(theirs!.study).toEqual({ ...mine!.study, people: theirs!.study.people });
      expect(theirs!.study.taken).toBe(12);
      expect(theirs!.gauges.map(({ checks, ...rest }) => [rest, checks.length])).toEqual(
        mine!.gauges.map(({ checks, ...rest }) => [rest, checks.length]),
      );
    } finally {
      await second.close();
    }
  });
});
