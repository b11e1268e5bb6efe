import { describe, expect, it } from 'vitest';
import { ENGLISH_SCREENS } from '../../tests/englishScreens.ts';
import { DEFAULT_PRICES } from '@keen/contract';
import { PRACTICE_CHECKS, PRACTICE_LESSONS } from '@keen/contract/words';
import { exampleCase } from '../../tests/exampleCase.ts';
import { resolveCase } from '../engine/case/resolveCase.ts';
import { createFaultClassifier, FAULT_COUNT } from '../engine/diagnosis/classifyFaults.ts';
import { createPosterior } from '../engine/diagnosis/posterior.ts';
import { FAULT_COLUMN, FAULTS } from '../engine/wear/faults.ts';
import { STATE } from '../engine/wear/state.ts';
import { diagnose } from '../steps/explain/diagnose.ts';
import { workPrices } from '../steps/decide/rankVisitOptions.ts';
import { checkCost, seenOf } from './checkCosts.ts';
import { moneyInTruth } from './moneyInTruth.ts';
import { answerChances, brierScore, diagnosisChances, pointsOf } from './scoreAnswer.ts';
import { USUAL_CHANCES } from './usualChances.ts';

const none = new Uint8Array(FAULT_COUNT);
const truthOf = (...columns: number[]) => {
  const truth = none.slice();
  for (const column of columns) truth[column] = 1;
  return truth;
};

describe('brierScore', () => {
  it('is the sum of squares, worked by hand', () => {
    // (0.8 - 1)^2 + (0.3 - 0)^2 + (0 - 0)^2 = 0.04 + 0.09
    expect(brierScore([0.8, 0.3, 0], [1, 0, 0])).toBeCloseTo(0.13, 12);
    expect(brierScore([1, 0, 0], [1, 0, 0])).toBe(0);
    expect(brierScore([0, 1], [1, 0])).toBe(2);
  });

  it('is proper: nobody expects less by saying other than they believe', () => {
    for (const believed of [0.05, 0.3, 0.5, 0.9]) {
      const expected = (said: number) =>
        believed * brierScore([said], [1]) + (1 - believed) * brierScore([said], [0]);
      for (let said = 0; said <= 1; said += 0.05) {
        expect(expected(said)).toBeGreaterThanOrEqual(expected(believed) - 1e-12);
      }
    }
  });
});

describe('points', () => {
  const truth = truthOf(FAULT_COLUMN.toeTooFarIn);

  it('are 0 for what anybody could say and 100 for knowing all', () => {
    expect(pointsOf(brierScore(answerChances([]), truth), truth)).toBeCloseTo(0, 12);
    expect(pointsOf(0, truth)).toBe(100);
  });

  it('cost more for a sure wrong answer than an honest doubt, and a doubt gains where it is right', () => {
    const points = (chance: number, where: 'front' | 'rear') =>
      pointsOf(brierScore(answerChances([{ cause: 'toeTooFarIn', where, chance }]), truth), truth);
    expect(points(0.95, 'rear')).toBeLessThan(points(0.4, 'rear'));
    expect(points(0.4, 'rear')).toBeLessThan(0);
    expect(points(0.6, 'front')).toBeGreaterThan(0);
    expect(points(0.95, 'front')).toBeGreaterThan(points(0.6, 'front'));
  });

  it('take hard cornering as the driver’s, at both axles', () => {
    const chances = answerChances([{ cause: 'hardCornering', where: 'front', chance: 0.7 }]);
    expect(chances.slice(FAULT_COLUMN.hardCornering)).toEqual([0.7, 0.7]);
    expect(chances[0]).toBe(USUAL_CHANCES[0]);
  });
});

describe('diagnosisChances', () => {
  it('are those of the diagnosis, fault by fault', () => {
    const { diagnosis } = diagnose(exampleCase());
    const chances = diagnosisChances(diagnosis);
    expect(chances).toHaveLength(FAULTS.length);
    expect(chances[FAULT_COLUMN.looseness + 1]).toBe(diagnosis.axles.rear.probability.looseness);
    expect(chances[FAULT_COLUMN.pressureLow + 2]).toBe(diagnosis.wheels.lr.probability.pressureLow);
  });
});

describe('moneyInTruth', () => {
  const file = exampleCase();
  const resolved = resolveCase(file);
  const prices = workPrices(DEFAULT_PRICES);
  const costOf = (change: (state: Float64Array) => void) => {
    const state = createPosterior(resolved).healthy.slice();
    change(state);
    const faults = new Uint8Array(FAULT_COUNT);
    createFaultClassifier(resolved)(state, faults);
    const [factors, lossMm] = [new Float64Array(12).fill(1), new Float64Array(12)];
    return moneyInTruth(file, { state, faults, factors, lossMm }, prices);
  };
  const lostBy = (costs: ReturnType<typeof costOf>, course: string) =>
    costs.find((one) => one.course === course)!.lost;

  it('advises nothing where nothing is out: anything more loses just its price', () => {
    const costs = costOf(() => undefined);
    expect(costs[0]).toMatchObject({ course: 'fitOnly', lost: 0 });
    expect(lostBy(costs, 'align')).toBeCloseTo(prices.align, 0);
  });

  it('is for an alignment where toe eats tires, and for parts where a joint does', () => {
    const toe = costOf((state) => (state[STATE.toe] = 0.9));
    expect(toe[0]!.course).toBe('align');
    expect(lostBy(toe, 'fitOnly')).toBeGreaterThan(prices.align);
    const loose = costOf((state) => (state[STATE.looseness] = 0.4));
    expect(loose[0]!.course).toBe('partsThenAlign');
    expect(lostBy(loose, 'align')).toBeGreaterThan(lostBy(loose, 'partsThenAlign'));
  });
});

describe('checks', () => {
  const whole = exampleCase((file) => {
    file.tires.lf.feather = 'none';
    file.tires.lf.cupping = 'none';
    file.tires.lf.pressure = { measured: 200, target: 230 };
    file.play = { lf: 'none' };
    file.angles = { lf: { camber: -1 } };
    file.complaints = ['pullsLeft'];
  });

  it('show what they find and nothing else', () => {
    const bare = seenOf(whole, []);
    expect(bare.tires.lf).toEqual(exampleCase().tires.lf);
    expect([bare.play, bare.angles, bare.complaints]).toEqual([undefined, undefined, undefined]);
    expect(seenOf(whole, ['pressure']).tires.lf).toEqual({
      ...exampleCase().tires.lf,
      pressure: { measured: 200, target: 230 },
    });
    expect(seenOf(whole, [...PRACTICE_CHECKS])).toEqual(whole);
  });

  it('take time, and some of the customer’s money', () => {
    for (const check of PRACTICE_CHECKS) {
      expect(checkCost(check, DEFAULT_PRICES).minutes).toBeGreaterThan(0);
    }
    expect(checkCost('angles', DEFAULT_PRICES).minor).toBe(DEFAULT_PRICES.items.check);
    expect(checkCost('pressure', DEFAULT_PRICES).minor).toBe(0);
  });
});

describe('lessons', () => {
  it('each have a title, something to begin with and three things to take along', () => {
    for (const lesson of PRACTICE_LESSONS) {
      const { title, about, said } = ENGLISH_SCREENS.practice.lessons[lesson];
      expect(new Set([title, about, ...said]).size).toBe(5);
    }
  });
});
