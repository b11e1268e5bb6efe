import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { CaseFile, EntriesSaved, Visit, VisitDetail, VisitPage } from '@keen/contract';
import { caseFileSchema, visitDetailSchema, visitPageSchema } from '@keen/contract';
import { diagnose } from '@keen/core';
import type { RunningServer } from '../src/createServer.ts';
import {
  agentOf,
  arrive,
  bodyOf,
  createDatabase,
  entry,
  secondShop,
  getBytes,
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

async function detailOf(id: string): Promise<VisitDetail> {
  return (await agent.get(`/api/visits/${id}`).expect(200)).body as VisitDetail;
}

describe('a visit', () => {
  it('starts once, however often it is asked for', async () => {
    const order = {
      id: randomUUID(),
      vehicle: { id: randomUUID(), plate: 'ab 12-c', label: 'Van', customer: '' },
      entries: [],
    };
    const first = await agent.post('/api/visits').send(order).expect(200);
    const second = await agent.post('/api/visits').send(order).expect(200);
    expect((second.body as Visit).number).toBe((first.body as Visit).number);
  });

  it('knows a car again by its plate, and carries over what does not change', async () => {
    const first = await arrive(agent, 'KN 100');
    await agent
      .post(`/api/visits/${first.id}/entries`)
      .send({
        entries: [
          entry('vehicle.drive', 'awd'),
          entry('tires.lf.size', '205/55R16'),
          entry('tires.lf.newDepth', 8.4),
          entry('tires.lf.distance', 12_000),
          entry('tires.lf.stations.0.inner', 5),
          entry('visit.handOver.language', 'es'),
          entry('visit.handOver.given', 'printed'),
        ],
      })
      .expect(200);
    const again = await arrive(agent, 'kn-100');
    expect(again.vehicle.id).toBe(first.vehicle.id);
    expect(again.draft).toEqual({
      vehicle: { drive: 'awd' },
      tires: { lf: { size: '205/55R16', newDepth: 8.4 } },
      visit: { handOver: { language: 'es' } },
    });
    expect((await detailOf(again.id)).history.map(({ id }) => id)).toEqual([first.id]);
  });

  it('gives numbers without gaps, also when cars roll in at once', async () => {
    const visits = await Promise.all(Array.from({ length: 6 }, () => arrive(agent)));
    const numbers = visits.map(({ number }) => number).toSorted((a, b) => a - b);
    expect(numbers).toEqual(numbers.map((_, i) => numbers[0]! + i));
  });

  it('answers in the shapes of the contract', async () => {
    const { id } = await arrive(agent);
    expect(visitDetailSchema.safeParse(await detailOf(id)).error).toBeUndefined();
    const list = await agent.get('/api/visits').expect(200);
    expect(visitPageSchema.safeParse(list.body).error).toBeUndefined();
  });

  it('leaves the open list when it is closed and comes back when opened', async () => {
    const { id } = await arrive(agent);
    const isListed = async (path: string) =>
      ((await agent.get(path)).body as VisitPage).visits.some((visit) => visit.id === id);
    await agent.put(`/api/visits/${id}/closed`).send({ closed: true }).expect(200);
    expect(await isListed('/api/visits')).toBe(false);
    expect(await isListed('/api/visits?all=true')).toBe(true);
    await agent.put(`/api/visits/${id}/closed`).send({ closed: false }).expect(200);
    expect(await isListed('/api/visits')).toBe(true);
  });

  it('belongs to its shop alone', async () => {
    const { id, vehicle } = await arrive(agent);
    const stranger = await secondShop(server);
    for (const path of ['', '/case', '/sheet', '/diagnosis']) {
      await stranger.get(`/api/visits/${id}${path}`).expect(404);
    }
    await stranger
      .post(`/api/visits/${id}/entries`)
      .send({ entries: [entry('visit.words', 'x')] })
      .expect(404);
    await stranger.put(`/api/visits/${id}/closed`).send({ closed: true }).expect(404);
    await stranger
      .post('/api/visits')
      .send({ id: randomUUID(), vehicle: { id: vehicle.id }, entries: [] })
      .expect(404);
    const list = await stranger.get('/api/visits?all=true');
    expect(list.body).toEqual({ visits: [], before: null });
    const cars = await stranger.get('/api/vehicles');
    expect(cars.body).toEqual([]);
  });
});

describe('entries', () => {
  it('are appended, numbered and folded; sent twice they count once', async () => {
    const { id } = await arrive(agent);
    const list = [
      entry('tires.lf.stations.0.outer', 5.3),
      entry('tires.lf.stations.0.outer', 5.4),
      entry('vehicle.drive', 'rwd'),
    ];
    const first = (await agent.post(`/api/visits/${id}/entries`).send({ entries: list }))
      .body as EntriesSaved;
    const second = (await agent.post(`/api/visits/${id}/entries`).send({ entries: list }))
      .body as EntriesSaved;
    expect(first.entries.map(({ seq }) => seq)).toEqual([1, 2, 3]);
    expect(second).toEqual(first);
    const detail = await detailOf(id);
    expect(detail.entries).toHaveLength(3);
    expect(detail.visit.draft).toEqual({
      tires: { lf: { stations: [{ outer: 5.4 }] } },
      vehicle: { drive: 'rwd' },
    });
  });

  it('keep their order when two people write at once', async () => {
    const { id } = await arrive(agent);
    await Promise.all(
      Array.from({ length: 8 }, (_, i) =>
        agent
          .post(`/api/visits/${id}/entries`)
          .send({ entries: [entry('tires.rr.newDepth', 5 + i / 10)] })
          .expect(200),
      ),
    );
    const { entries, visit } = await detailOf(id);
    expect(entries.map(({ seq }) => seq)).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
    expect(visit.draft.tires?.rr?.newDepth).toBe(entries.at(-1)?.value);
  });

  it('are all refused when one of them is wrong, with its path, and nothing is kept', async () => {
    const { id } = await arrive(agent);
    const response = await agent
      .post(`/api/visits/${id}/entries`)
      .send({ entries: [entry('vehicle.drive', 'fwd'), entry('tires.lf.newDepth', 'deep')] })
      .expect(400);
    expect((response.body as { errors: { path: string }[] }).errors[0]?.path).toBe(
      'entries.1.value',
    );
    expect((await detailOf(id)).entries).toEqual([]);
  });

  it('cannot reach outside the draft', async () => {
    const { id } = await arrive(agent);
    for (const path of ['__proto__.x', 'shopId', 'tires.lf', 'tires.lf.stations.99.inner']) {
      await agent
        .post(`/api/visits/${id}/entries`)
        .send({ entries: [entry(path, 1)] })
        .expect(400);
    }
  });
});

describe('decisions', () => {
  it('keep the full diagnosis beside what was chosen, and need a reason to differ', async () => {
    const { id } = await arrive(agent);
    await agent.post(`/api/visits/${id}/entries`).send({ entries: toeInReadings() }).expect(200);
    const order = { id: randomUUID(), action: 'fitOnly', replace: [], answer: 'no', reason: '' };
    const refused = await agent.post(`/api/visits/${id}/decisions`).send(order).expect(400);
    expect((refused.body as { errors: { path: string }[] }).errors[0]?.path).toBe('reason');

    const kept = { ...order, reason: 'Sells the car next week' };
    await agent.post(`/api/visits/${id}/decisions`).send(kept).expect(200);
    await agent.post(`/api/visits/${id}/decisions`).send(kept).expect(200);
    await agent
      .post(`/api/visits/${id}/decisions`)
      .send({ ...order, id: randomUUID(), action: 'align', answer: 'yes' })
      .expect(200);

    const { decisions, visit } = await detailOf(id);
    expect(decisions.map(({ action, answer }) => [action, answer])).toEqual([
      ['fitOnly', 'no'],
      ['align', 'yes'],
    ]);
    expect(decisions[0]?.diagnosis.recommendation.action).toBe('align');
    expect(visit.decision?.action).toBe('align');
  });
});

describe('case file and sheet', () => {
  it('go out and come in again as the same case and the same answer', async () => {
    const { id } = await arrive(agent);
    await agent.post(`/api/visits/${id}/entries`).send({ entries: toeInReadings() });
    const exported = (await agent.get(`/api/visits/${id}/case`).expect(200)).body as CaseFile;
    expect(caseFileSchema.safeParse(exported).error).toBeUndefined();
    const imported = (await agent.post('/api/visits/import').send(exported).expect(200))
      .body as Visit;
    const again = (await agent.get(`/api/visits/${imported.id}/case`)).body as CaseFile;
    expect(again.tires).toEqual(exported.tires);

    const served = (await agent.get(`/api/visits/${id}/diagnosis`).expect(200)).body as object;
    expect(served).toEqual(JSON.parse(JSON.stringify(diagnose(exported).diagnosis)));
  });

  it('are refused at the field that is wrong', async () => {
    const response = await agent
      .post('/api/visits/import')
      .send({ format: 'keen-groove/case', version: 1 })
      .expect(400);
    expect(
      (response.body as { errors: { path: string }[] }).errors.map(({ path }) => path),
    ).toContain('tires');
  });

  it.each([
    ['A4', 595.28, 841.89],
    ['LETTER', 612, 792],
  ])('print on one page of %s', async (paper, width, height) => {
    const { id } = await arrive(agent);
    await agent.post(`/api/visits/${id}/entries`).send({ entries: toeInReadings() });
    const response = await getBytes(agent, `/api/visits/${id}/sheet?paper=${paper}`).expect(200);
    expect(response.type).toBe('application/pdf');
    const pdf = bodyOf<Buffer>(response).toString('latin1');
    expect(pdf).toContain(`/MediaBox [0 0 ${width} ${height}]`);
  });
});

describe('cars', () => {
  it('are found by part of plate, label or customer, and by nothing else', async () => {
    await arrive(agent, 'ZQ 77 X');
    const found = async (q: string) =>
      ((await agent.get('/api/vehicles').query({ q })).body as { plate: string }[]).map(
        ({ plate }) => plate,
      );
    expect(await found('zq77')).toEqual(['ZQ 77 X']);
    expect(await found('Z%')).not.toContain('KN 100');
    expect(await found('no such car')).toEqual([]);
  });
});
