import { randomUUID } from 'node:crypto';
import type { CaseFile, Visit, VisitDetail } from '@keen/contract';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import {
  agentOf,
  archiveOf,
  arrive,
  bodyOf,
  createDatabase,
  entry,
  serve,
  setUpShop,
  toeInReadings,
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

/** What has been taken for something else: JSON, numbers, dates, markup, other scripts. */
const ODD = [
  '2319',
  '"2319"',
  'true',
  'false',
  'null',
  '{}',
  '[]',
  '{"a":1}',
  '[1,2]',
  '1e5',
  '-0',
  '0012',
  '"',
  '\\',
  '\\u0000',
  'NaN',
  'undefined',
  '2026-01-01',
  "it's",
  '<b>',
  '&amp;',
  '%20',
  '$1',
  '{{x}}',
  'Łódź řeka đ ≤ Ω Ж',
  '🚗',
  'a\nb',
  'e\u0301',
];
/** Any text that the contract takes: some letters, no control characters of the database's kind. */
const text = fc
  .oneof(
    fc.constantFrom(...ODD),
    fc.string({ unit: 'grapheme', minLength: 1, maxLength: 40 }),
    fc.string({ unit: 'binary', minLength: 1, maxLength: 30 }),
  )
  .filter((one) => one.trim() === one && one !== '' && !/\p{Surrogate}|\0/u.test(one));

const wordsOf = async (id: string, from = agent) => {
  const { visit, entries } = bodyOf<VisitDetail>(await from.get(`/api/visits/${id}`).expect(200));
  const stored = entries.filter(({ path }) => path === 'visit.words').at(-1);
  return { folded: visit.draft.visit?.words, stored: stored?.value };
};

describe('any text', () => {
  it('is the same text when it comes back, from the API and by a case file', async () => {
    await fc.assert(
      fc.asyncProperty(text, async (words) => {
        const visit = await arrive(agent);
        await agent
          .post(`/api/visits/${visit.id}/entries`)
          .send({ entries: [...toeInReadings(), entry('visit.words', words)] })
          .expect(200);
        expect(await wordsOf(visit.id)).toEqual({ folded: words, stored: words });
        const file = bodyOf<CaseFile>(await agent.get(`/api/visits/${visit.id}/case`).expect(200));
        expect(file.visit).toMatchObject({ words });
        const again = bodyOf<Visit>(await agent.post('/api/visits/import').send(file).expect(200));
        expect(await wordsOf(again.id)).toEqual({ folded: words, stored: words });
      }),
      { numRuns: 60, examples: ODD.map((one) => [one] as [string]) },
    );
  });

  it('comes back from the archive as it was, in every field that takes text', async () => {
    const fields = ['visit.words', 'visit.quick.codes', 'tires.lf.size', 'visit.car.placard.front'];
    const written = new Map<string, string>();
    for (const [i, words] of ODD.entries()) {
      const visit = await arrive(agent, `TXT ${i}`);
      await agent
        .post(`/api/visits/${visit.id}/entries`)
        .send({
          entries: [
            ...fields.map((path) => entry(path, words.slice(0, 40))),
            entry('visit.tires.lf.dateCode', '2319'),
          ],
        })
        .expect(200);
      written.set(visit.id, words.slice(0, 40));
    }
    const zip = await archiveOf(agent);
    const other = await serve(await createDatabase());
    try {
      const lead = agentOf(other);
      await setUpShop(lead);
      const taken = await lead
        .post('/api/shop/archive')
        .type('application/zip')
        .send(zip)
        .expect(200);
      expect(taken.body).toMatchObject({ faults: [] });
      for (const [id, words] of written) {
        const { entries } = bodyOf<VisitDetail>(await lead.get(`/api/visits/${id}`).expect(200));
        const values = new Map(entries.map(({ path, value }) => [path, value]));
        for (const path of fields) expect([path, values.get(path)]).toEqual([path, words]);
        expect(values.get('visit.tires.lf.dateCode')).toBe('2319');
      }
    } finally {
      await other.close();
    }
  });
});

describe('what is no text', () => {
  it.each([
    ['a NUL', 'a\0b'],
    ['half a surrogate pair', 'a\ud800'],
    ['a NUL deep in an estimate', { a: [{ b: 'x\0' }] }],
  ])('%s is refused with its place, wherever it comes in', async (_name, value) => {
    const visit = await arrive(agent);
    const refused = await agent
      .post(`/api/visits/${visit.id}/entries`)
      .send({ entries: [entry('visit.other', { note: value })] })
      .expect(400);
    expect(bodyOf<{ errors: { path: string }[] }>(refused).errors[0]!.path).toMatch(
      /^entries\.0\.value\.note/,
    );
    if (typeof value !== 'string') return;
    await agent.put(`/api/vehicles/${visit.vehicle.id}`).send({ customer: value }).expect(400);
    await agent.get('/api/vehicles').query({ q: 'x' }).expect(200);
    await agent.get(`/api/vehicles?q=%00`).expect(400);
  });

  it('nesting thousands deep is refused', async () => {
    const deep = `${'['.repeat(5_000)}1${']'.repeat(5_000)}`;
    const body = `{"entries":[{"id":"${randomUUID()}","path":"visit.other","at":"2026-01-01T00:00:00Z","value":{"a":${deep}}}]}`;
    const visit = await arrive(agent);
    await agent
      .post(`/api/visits/${visit.id}/entries`)
      .type('application/json')
      .send(body)
      .expect(400);
  });

  it.each(['0000-01-01T00:00:00Z', '1969-12-31T23:59:59Z'])(
    'an entry at %s is refused',
    async (at) => {
      const visit = await arrive(agent);
      await agent
        .post(`/api/visits/${visit.id}/entries`)
        .send({ entries: [{ ...entry('visit.words', 'x'), at }] })
        .expect(400);
    },
  );
});

describe('the same id', () => {
  it('in upper case is the same entry', async () => {
    const visit = await arrive(agent);
    const one = entry('visit.words', 'once');
    const send = (id: string) =>
      agent.post(`/api/visits/${visit.id}/entries`).send({ entries: [{ ...one, id }] });
    await send(one.id).expect(200);
    await send(one.id.toUpperCase()).expect(200);
    const both = [one.id, one.id.toUpperCase()].map((id) => ({ ...one, id }));
    await agent.post(`/api/visits/${visit.id}/entries`).send({ entries: both }).expect(200);
    const { entries } = bodyOf<VisitDetail>(await agent.get(`/api/visits/${visit.id}`).expect(200));
    expect(entries.filter(({ path }) => path === 'visit.words')).toHaveLength(1);
  });

  it('of a visit started twice at once gives one visit', async () => {
    const body = {
      id: randomUUID(),
      vehicle: { id: randomUUID(), plate: 'TWICE 1', label: '', customer: '' },
      entries: [],
    };
    const answers = await Promise.all(
      Array.from({ length: 6 }, () => agent.post('/api/visits').send(body)),
    );
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200, 200, 200, 200]);
    expect(new Set(answers.map((one) => bodyOf<Visit>(one).number)).size).toBe(1);
  });

  it('of a plate taken twice at once gives it to one car', async () => {
    const cars = [await arrive(agent), await arrive(agent)];
    const answers = await Promise.all(
      cars.map(({ vehicle }) =>
        agent.put(`/api/vehicles/${vehicle.id}`).send({ plate: 'WANTED 1' }),
      ),
    );
    expect(answers.map(({ status }) => status).toSorted()).toEqual([200, 409]);
  });
});

describe('a case file', () => {
  it.each([
    [
      'a pressure',
      (file: CaseFile) => ({
        ...file,
        tires: { ...file.tires, lf: { ...file.tires.lf, pressure: { target: 2_147_483_648 } } },
      }),
    ],
    [
      'a distance',
      (file: CaseFile) => ({
        ...file,
        tires: { ...file.tires, lf: { ...file.tires.lf, distance: 1e308 } },
      }),
    ],
    [
      'a ride height',
      (file: CaseFile) => ({
        ...file,
        vehicle: { ...file.vehicle, rideHeightChange: { front: 1e308 } },
      }),
    ],
  ])('with %s that cannot be typed is not imported either', async (_name, change) => {
    const visit = await arrive(agent);
    await agent
      .post(`/api/visits/${visit.id}/entries`)
      .send({ entries: toeInReadings() })
      .expect(200);
    const file = bodyOf<CaseFile>(await agent.get(`/api/visits/${visit.id}/case`).expect(200));
    await agent.post('/api/visits/import').send(file).expect(200);
    await agent.post('/api/visits/import').send(change(file)).expect(400);
  });
});
