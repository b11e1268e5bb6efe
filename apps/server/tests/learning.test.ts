import { randomUUID } from 'node:crypto';
import type { CaseFile, Learning, Visit, VisitDetail } from '@keen/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import { resumeRuns } from '../src/work/goOnLearning.ts';
import {
  agentOf,
  arrive,
  asOwner,
  bodyOf,
  broughtElsewhere,
  createDatabase,
  entry,
  secondShop,
  serve,
  setUpShop,
  until,
} from './testServer.ts';
import type { Agent } from './testServer.ts';

const CARS = 31;
const LINE = 'Northway Touring';

let server: RunningServer;
let agent: Agent;
let other: Agent;
let lastCar: Visit;
beforeAll(async () => {
  server = await serve(await createDatabase(), { worker: true });
  agent = agentOf(server);
  await setUpShop(agent);
  other = await secondShop(server);
  for (let car = 0; car < CARS; car++) lastCar = await bringIn(car);
});
afterAll(() => server.close());

/** A car whose tires are as worn as a car of this town would have them, a little different each. */
async function bringIn(car: number): Promise<Visit> {
  const visit = await arrive(agent);
  const lost = 2.2 + 0.05 * (car % 9);
  const edge = car % 3 === 0 ? 1.1 : 0.1;
  const list = ['lf', 'rf', 'lr', 'rr'].flatMap((wheel) => {
    const isFront = wheel.endsWith('f');
    const worn = isFront ? lost : 0.8 * lost;
    const at = (more: number) => Number((8 - worn - more).toFixed(1));
    return [
      entry(`tires.${wheel}.stations.0.inner`, at(isFront ? edge : 0)),
      entry(`tires.${wheel}.stations.0.centre`, at(0)),
      entry(`tires.${wheel}.stations.0.outer`, at(0.1)),
      entry(`tires.${wheel}.newDepth`, 8),
      entry(`tires.${wheel}.distance`, 30_000),
      entry(`visit.tires.${wheel}.line`, car % 2 === 0 ? LINE : 'Harbour Eco'),
    ];
  });
  await agent.post(`/api/visits/${visit.id}/entries`).send({ entries: list }).expect(200);
  return visit;
}

const learning = async (who = agent) =>
  bodyOf<Learning>(await who.get('/api/insights/learning').expect(200));
const change = (id: string, state: string, who = agent) =>
  who.put(`/api/insights/learning/${id}`).send({ state });
const use = (runId: string | null, who = agent) =>
  who.put('/api/insights/learning/used').send({ runId });
const draftOf = async (id: string) =>
  bodyOf<VisitDetail>(await agent.get(`/api/visits/${id}`).expect(200)).visit.draft;

const ended = (id: string) =>
  until(async () => {
    const run = (await learning()).runs.find((one) => one.id === id);
    return run && run.state !== 'running' ? run : null;
  });

describe('learning from too few cars', () => {
  it('is refused, and says how many are needed', async () => {
    expect(await learning(other)).toEqual({ runs: [], cars: 0, leastCars: 30 });
    const refused = await other
      .post('/api/insights/learning')
      .send({ id: randomUUID() })
      .expect(409);
    expect(bodyOf<{ title: string }>(refused).title).toContain('30');
  });
});

describe('a run', () => {
  const id = randomUUID();

  it('learns from each car once, stops when told, and goes on where it stopped', async () => {
    expect((await learning()).cars).toBe(CARS);
    const begun = bodyOf<Learning>(
      await agent.post('/api/insights/learning').send({ id }).expect(200),
    );
    expect(begun.runs[0]).toMatchObject({ id, version: 1, state: 'running', stage: 'reading' });
    // Asked again with the same id, nothing new begins; another one has to wait.
    await agent.post('/api/insights/learning').send({ id }).expect(200);
    await agent.post('/api/insights/learning').send({ id: randomUUID() }).expect(409);

    await until(async () => ((await learning()).runs[0]!.done >= 3 ? true : null));
    const stopped = bodyOf<Learning>(await change(id, 'canceled').expect(200)).runs[0]!;
    expect(stopped.state).toBe('canceled');
    const saved = await asOwner<{ n: number }>(
      server,
      'select count(*)::int as n from learning_evidence where run_id = $1',
      [id],
    );
    expect(saved[0]!.n).toBeGreaterThanOrEqual(3);
    expect(saved[0]!.n).toBeLessThan(2 * CARS);

    await change(id, 'running').expect(200);
    const run = await ended(id);
    expect(run.state).toBe('done');
    expect(run.done).toBe(run.total);
    const result = run.result!;
    expect(result.cars).toBe(CARS);
    // Front tires lost 1.25 times what the rears did, less than the 1.7 that front drive is taken to give.
    expect(result.traits.frontToRear.value).toBeLessThan(0);
    expect(result.lines.map(({ line, cars }) => [line, cars])).toEqual([
      [LINE, 16],
      ['Harbour Eco', 15],
    ]);
    expect(result.tried.cars).toBe(CARS);
    for (const { plate, number } of result.tried.changed) {
      expect(plate).not.toBe('');
      expect(number).toBeGreaterThan(0);
    }
    const left = await asOwner<{ n: number }>(
      server,
      'select count(*)::int as n from learning_evidence',
    );
    expect(left[0]!.n).toBe(0);
    await change(id, 'running').expect(409);
  });

  it('counts for visits that begin while it is in use, and for no other', async () => {
    const before = await draftOf(lastCar.id);
    await use(randomUUID()).expect(404);
    expect((await learning()).runs[0]!.usedSince).toBeNull();
    await use(id).expect(200);
    const { result, version } = (await learning()).runs[0]!;
    const during = await draftOf((await arrive(agent)).id);
    expect(during.constants).toMatchObject({ ...result!.constants, version });
    expect(await draftOf(lastCar.id)).toEqual(before);
    expect(before.constants).toBeUndefined();

    const bare = await arrive(agent);
    const withLine = ['lf', 'rf', 'lr', 'rr'].map((wheel) =>
      entry(`visit.tires.${wheel}.line`, LINE.toUpperCase()),
    );
    await agent.post(`/api/visits/${bare.id}/entries`).send({ entries: withLine }).expect(200);
    const file = bodyOf<CaseFile>(await agent.get(`/api/visits/${bare.id}/case`).expect(200));
    // Tires of a named line bring its own rate along.
    expect(file.constants!.traits.wearRate.mean).toBeCloseTo(
      result!.constants.traits.wearRate.mean + result!.used * result!.lines[0]!.rate.value,
      3,
    );

    await use(null).expect(200);
    expect((await draftOf((await arrive(agent)).id)).constants).toBeUndefined();
    expect((await draftOf(bare.id)).constants?.version).toBe(version);
    await use(id).expect(200);
    const log = await asOwner<{ detail: { version: number } }>(
      server,
      "select detail from audit_log where kind = 'constants' order by id",
    );
    expect(log.map(({ detail }) => detail.version)).toEqual([1, 0, 1]);
  });

  it('is its own shop’s', async () => {
    expect((await learning(other)).runs).toEqual([]);
    await change(id, 'canceled', other).expect(404);
    await use(id, other).expect(404);
  });

  it('goes out with the archive and comes in again', async () => {
    await broughtElsewhere(agent, async (lead) => {
      const [run] = (await learning(lead)).runs;
      const [own] = (await learning()).runs;
      expect(run!.result!.constants).toEqual(own!.result!.constants);
      expect(run!.usedSince).toBe(own!.usedSince);
    });
  });

  it('is taken up again by a worker that finds it lying', async () => {
    const lying = randomUUID();
    await agent.post('/api/insights/learning').send({ id: lying }).expect(200);
    await change(lying, 'canceled').expect(200);
    // As one is left whose work got lost.
    await asOwner(server, "update learning_runs set state = 'running' where id = $1", [lying]);
    await asOwner(server, "delete from keen_jobs.job where name = 'learning'");
    await resumeRuns(server.context);
    const run = await until(async () => {
      const found = (await learning()).runs.find((one) => one.id === lying)!;
      return found.done >= 2 ? found : null;
    });
    expect(run).toMatchObject({ state: 'running', version: 2 });
    await change(lying, 'canceled').expect(200);
    // Given up for another, what it had read goes.
    const another = randomUUID();
    const { runs } = bodyOf<Learning>(
      await agent.post('/api/insights/learning').send({ id: another }).expect(200),
    );
    expect(runs.map(({ version, state }) => [version, state])).toEqual([
      [3, 'running'],
      [2, 'canceled'],
      [1, 'done'],
    ]);
    await change(another, 'canceled').expect(200);
    const left = await asOwner<{ n: number }>(
      server,
      'select count(*)::int as n from learning_evidence where run_id = $1',
      [lying],
    );
    expect(left[0]!.n).toBe(0);
  });
});
