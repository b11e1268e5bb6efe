import { randomUUID } from 'node:crypto';
import type { Drill, PracticeBoard, PracticeCar, PracticeGauge } from '@keen/contract';
import { practiceCarSchema, RIBS, WHEELS } from '@keen/contract';
import { answerChances, brierScore, diagnosisChances, USUAL_CHANCES } from '@keen/core/practice';
import { FAULTS } from '@keen/core/engine';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { RunningServer } from '../src/createServer.ts';
import {
  agentOf,
  bodyOf,
  createDatabase,
  entry,
  secondShop,
  serve,
  setUpShop,
} from './testServer.ts';
import type { Agent } from './testServer.ts';

let server: RunningServer;
let lead: Agent;
let learner: Agent;
let learnerId: string;
let other: Agent;
beforeAll(async () => {
  server = await serve(await createDatabase());
  lead = agentOf(server);
  await setUpShop(lead);
  learnerId = randomUUID();
  const email = 'learner@shop.example';
  const password = 'tall harbour crane 7';
  await lead
    .post('/api/shop/people')
    .send({ id: learnerId, name: 'Lina Learner', email, password, role: 'advisor' })
    .expect(200);
  learner = agentOf(server);
  await learner.post('/api/session').send({ email, password }).expect(200);
  other = await secondShop(server);
});
afterAll(() => server.close());

const deal = async (who: Agent, lesson?: string, code?: string) =>
  bodyOf<PracticeCar>(
    await who.post('/api/practice/cars').send({ id: randomUUID(), lesson, code }).expect(200),
  );
const gauge = async (who: Agent, id: string, wheel: string, rib: string) =>
  bodyOf<PracticeGauge>(
    await who.post(`/api/practice/cars/${id}/gauge`).send({ wheel, rib }).expect(200),
  );

/** Reads all twelve as the gauge shows them. */
async function readAll(who: Agent, id: string): Promise<PracticeCar> {
  const entries = [];
  for (const wheel of WHEELS) {
    for (const rib of RIBS) {
      const { mm } = await gauge(who, id, wheel, rib);
      entries.push(entry(`tires.${wheel}.stations.0.${rib}`, mm));
    }
  }
  const path = `/api/practice/cars/${id}/entries`;
  return bodyOf<PracticeCar>(await who.post(path).send({ entries }).expect(200));
}

describe('a practice car', () => {
  it('is read, checked, answered once, and then tells the truth', async () => {
    const car = await deal(learner, 'softSet', 'first');
    expect(car).toMatchObject({ code: 'first', done: [], readings: 0, result: null });
    const read = await readAll(learner, car.id);
    expect(read).toMatchObject({ readings: 12 });
    expect(read.minutes).toBeCloseTo(2.4, 9);
    const checked = bodyOf<PracticeCar>(
      await learner
        .post(`/api/practice/cars/${car.id}/checks`)
        .send({ check: 'pressure' })
        .expect(200),
    );
    expect(checked.done).toEqual(['pressure']);
    // What the valve gauge finds is known from then on; it may have been set on the way here.
    for (const wheel of WHEELS) expect(checked.draft.tires![wheel]!.pressure!.target).toBe(230);
    // A check that is made twice is paid once.
    const again = await learner
      .post(`/api/practice/cars/${car.id}/checks`)
      .send({ check: 'pressure' })
      .expect(200);
    expect(bodyOf<PracticeCar>(again).minutes).toBe(checked.minutes);
    const causes = WHEELS.map((where) => ({ cause: 'pressureLow', where, chance: 0.9 }));
    const answer = { causes, course: 'inflateAndWatch' };
    const path = `/api/practice/cars/${car.id}/answer`;
    const { result } = practiceCarSchema.parse((await learner.post(path).send(answer)).body);
    expect(result!.truth.faults.map(({ cause }) => cause)).toEqual([
      'pressureLow',
      'pressureLow',
      'pressureLow',
      'pressureLow',
    ]);
    // The score is the published rule, worked again from what was said.
    const truth = FAULTS.map(({ cause }) => (cause === 'pressureLow' ? 1 : 0));
    expect(result!.score.brier).toBeCloseTo(
      brierScore(answerChances(causes as Parameters<typeof answerChances>[0]), truth),
      9,
    );
    expect(result!.score.usualBrier).toBeCloseTo(brierScore(USUAL_CHANCES, truth), 9);
    expect(result!.score.points).toBeGreaterThan(80);
    // The best answer's score is its own chances by the same rule.
    const { best, score } = result!;
    expect(score.bestBrier).toBeCloseTo(brierScore(diagnosisChances(best.diagnosis), truth), 9);
    expect(result!.courses[0]).toMatchObject({ course: 'inflateAndWatch', lost: 0 });
    expect(result!.checks).toEqual([expect.objectContaining({ check: 'pressure', minor: 0 })]);
    await learner.post(path).send(answer).expect(409);
    await learner.post(`/api/practice/cars/${car.id}/checks`).send({ check: 'play' }).expect(409);
    await learner
      .post(`/api/practice/cars/${car.id}/gauge`)
      .send({ wheel: 'lf', rib: 'inner' })
      .expect(409);
  });

  it('is the same for two people of a shop by its code, and another one in another shop', async () => {
    const [own, leads, foreign] = [
      await deal(learner, 'free', 'same-car'),
      await deal(lead, 'free', 'same-car'),
      await deal(other, 'free', 'same-car'),
    ];
    expect(own.id).not.toBe(leads.id);
    expect(own.draft).toEqual(leads.draft);
    const shown = async (who: Agent, { id }: PracticeCar) =>
      (await gauge(who, id, 'rf', 'outer')).mm;
    expect(await shown(learner, own)).toBe(await shown(lead, leads));
    expect(foreign.draft).not.toEqual(own.draft);
    // Asked for again it stands as it was left.
    const back = await deal(learner, 'free', 'same-car');
    expect(back).toMatchObject({ id: own.id, readings: 1 });
  });

  it('keeps its lesson when a colleague asks for it by the code alone', async () => {
    const { code, lesson, draft } = await deal(learner, 'rotated');
    expect(await deal(lead, undefined, code)).toMatchObject({ lesson, code, draft });
    // Of another shop's codes nothing is known: it is any car.
    expect(await deal(other, undefined, code)).toMatchObject({ lesson: 'free', code });
    await lead.post('/api/practice/cars').send({ id: randomUUID() }).expect(400);
  });

  it('keeps its truth from the page until it is answered', async () => {
    const car = await deal(learner, 'saw', 'secret');
    const bodies = [
      car,
      await readAll(learner, car.id),
      (await learner.get(`/api/practice/cars/${car.id}`)).body as unknown,
      (await learner.get('/api/practice')).body as unknown,
    ].map((body) => JSON.stringify(body));
    for (const body of bodies) {
      expect(body).not.toMatch(/seed|truth|faults|"state"|"camber":|totalToe|looseness|excess/);
    }
    // What was not asked for is not told either.
    const { draft } = bodyOf<PracticeCar>(await learner.get(`/api/practice/cars/${car.id}`));
    expect(JSON.stringify(draft)).not.toMatch(/feather|cupping|measured|play|angles|complaint/);
  });

  it('belongs to whoever was dealt it', async () => {
    const car = await deal(learner, 'waves');
    for (const who of [lead, other]) {
      await who.get(`/api/practice/cars/${car.id}`).expect(404);
      await who.post(`/api/practice/cars/${car.id}/checks`).send({ check: 'angles' }).expect(404);
    }
  });

  it('takes depths for notes and nothing else', async () => {
    const car = await deal(learner, 'keenDriver');
    const path = `/api/practice/cars/${car.id}/entries`;
    const wrong = await learner
      .post(path)
      .send({ entries: [entry('tires.lf.feather', 'none')] })
      .expect(400);
    expect(wrong.body).toMatchObject({ errors: [{ path: 'entries.0.path' }] });
    await learner
      .post(path)
      .send({ entries: [entry('tires.lf.stations.0.inner', 99)] })
      .expect(400);
    await learner.post('/api/practice/cars').send({ id: randomUUID(), lesson: 'none' }).expect(400);
    await learner
      .post('/api/practice/cars')
      .send({ id: randomUUID(), lesson: 'saw', code: '../x' })
      .expect(400);
  });
});

describe('a stroke', () => {
  it('says how it feels both ways, and what that means is noted by who stroked', async () => {
    const car = await deal(learner, 'saw', 'stroked');
    const path = `/api/practice/cars/${car.id}/entries`;
    const note = { entries: [entry('tires.lf.feather', 'catchesOutward')] };
    await learner.post(path).send(note).expect(400);
    const stroked = bodyOf<PracticeCar>(
      await learner
        .post(`/api/practice/cars/${car.id}/checks`)
        .send({ check: 'stroke' })
        .expect(200),
    );
    expect(JSON.stringify(stroked.draft)).not.toContain('feather');
    // A saw is sharp one way only, and the same way on both tires of its axle.
    const { lf, rf, lr } = stroked.felt!;
    expect([lf.out, lf.in].toSorted()).toEqual(['sharp', 'smooth']);
    expect(rf).toEqual(lf);
    expect(lr).toEqual({ out: 'smooth', in: 'smooth' });
    const noted = bodyOf<PracticeCar>(await learner.post(path).send(note).expect(200));
    expect(noted.draft.tires!.lf!.feather).toBe('catchesOutward');
  });
});

describe('progress', () => {
  it('is one’s own until it is shown, and then the lead’s to see too', async () => {
    const own = bodyOf<PracticeBoard>(await learner.get('/api/practice').expect(200));
    expect(own.own).toMatchObject({ personId: learnerId, cars: 1 });
    expect(own.own.points).toBeGreaterThan(80);
    // Only the pressures were named: elsewhere one knows what anybody knows.
    const { causes, depthErrorMm } = own.own.skills;
    for (const { skill, points, cars } of causes) {
      if (skill === 'pressure') expect([cars, points > 80]).toEqual([1, true]);
      else expect(points).toBeCloseTo(0, 9);
    }
    expect(depthErrorMm).toBeGreaterThan(0.01);
    expect(depthErrorMm).toBeLessThan(0.6);
    expect(own.own.bands.reduce((sum, { count }) => sum + count, 0)).toBe(4);
    expect(own.shown).toEqual([]);
    const seen = async () => bodyOf<PracticeBoard>(await lead.get('/api/practice')).shown;
    expect(await seen()).toEqual([]);
    await learner.put('/api/practice/shown').send({ isShown: true }).expect(200);
    expect(await seen()).toEqual([own.own]);
    expect(bodyOf<PracticeBoard>(await other.get('/api/practice')).shown).toEqual([]);
    await learner.put('/api/practice/shown').send({ isShown: false }).expect(200);
    expect(await seen()).toEqual([]);
  });
});

describe('a bench drill', () => {
  it('tells what is right question by question, and counts the first answer', async () => {
    const id = randomUUID();
    const dealt = bodyOf<Drill>(
      await learner.post('/api/practice/drills').send({ id }).expect(200),
    );
    expect(dealt.questions).toHaveLength(8);
    expect(JSON.stringify(dealt)).not.toMatch(/"right"|"why"|seed/);
    const at = dealt.questions.findIndex(({ question }) => question.kind === 'sign');
    const { question } = dealt.questions[at]!;
    const right = question.kind === 'sign' && question.degrees > 0 ? 'plus' : 'minus';
    const path = `/api/practice/drills/${id}/answers`;
    const told = bodyOf<Drill>(
      await learner.post(path).send({ question: at, given: right }).expect(200),
    );
    expect(told.questions[at]!.told).toMatchObject({ given: right, isRight: true, right });
    expect(told.questions.filter(({ told: one }) => one !== null)).toHaveLength(1);
    await learner.post(path).send({ question: at, given: 'plus' }).expect(409);
    await learner.post(path).send({ question: 8, given: 'plus' }).expect(400);
    const tape = dealt.questions.findIndex(({ question: one }) => one.kind === 'tape');
    await learner.post(path).send({ question: tape, given: '1' }).expect(200);
    const board = bodyOf<PracticeBoard>(await learner.get('/api/practice'));
    const { skills } = board.own;
    expect(skills.drills.reduce((sum, { asked }) => sum + asked, 0)).toBe(2);
    expect(skills.drills.reduce((sum, { right }) => sum + right, 0)).toBe(1);
    await lead.get(`/api/practice/drills/${id}`).expect(404);
  });
});
