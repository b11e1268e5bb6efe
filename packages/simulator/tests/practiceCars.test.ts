import { caseFileSchema } from '@keen/contract';
import { PRACTICE_LESSONS, RIBS, WHEELS } from '@keen/contract/words';
import type { Cause } from '@keen/contract/words';
import { FAULTS } from '@keen/core/engine';
import { USUAL_CHANCES } from '@keen/core/practice';
import { mean, standardDeviation } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { dealCar } from '../src/practiceCars.ts';

const SEEDS = Array.from({ length: 12 }, (_, i) => 1000 + 37 * i);
const causesOf = (faults: Uint8Array) =>
  [...new Set(FAULTS.filter((_, i) => faults[i] === 1).map(({ cause }) => cause))].toSorted();

describe('dealCar', () => {
  it('gives the same car for the same lesson and seed, and a case that any reader takes', () => {
    for (const lesson of PRACTICE_LESSONS) {
      const [one, other] = [dealCar(lesson, 5), dealCar(lesson, 5)];
      expect(one.file).toEqual(other.file);
      expect(one.gauge('lr', 'inner', 2)).toEqual(other.gauge('lr', 'inner', 2));
      expect(caseFileSchema.safeParse(one.file).error, lesson).toBeUndefined();
      expect(dealCar(lesson, 6).depthsMm).not.toEqual(one.depthsMm);
    }
  });

  it.each([
    ['softSet', ['pressureLow']],
    ['innerEdge', ['camberTooNegative']],
    ['waves', ['bounce']],
    ['keenDriver', ['hardCornering']],
    ['falseToe', ['looseness']],
    ['mixedAges', []],
    ['wrongReading', []],
  ] as const)('has nothing wrong but what the lesson is about: %s', (lesson, causes) => {
    for (const seed of SEEDS) {
      expect(causesOf(dealCar(lesson, seed).faults)).toEqual([...causes] as Cause[]);
    }
  });

  it.each(['saw', 'rotated'] as const)('has toe one way or the other: %s', (lesson) => {
    const seen = SEEDS.map((seed) => causesOf(dealCar(lesson, seed).faults).join());
    expect(new Set(seen)).toEqual(new Set(['toeTooFarIn', 'toeTooFarOut']));
  });

  it('holds two causes, and camber with toe on a rear axle without adjustment', () => {
    for (const seed of SEEDS) {
      expect(causesOf(dealCar('twoCauses', seed).faults)).toContain('pressureLow');
      expect(causesOf(dealCar('twoCauses', seed).faults)).toHaveLength(2);
      expect(causesOf(dealCar('fixedArm', seed).faults)).toContain('camberTooNegative');
    }
  });

  it('lets a learner find what is there in a lesson: the saw, the waves, the play, the soft tires', () => {
    for (const seed of SEEDS) {
      const saw = dealCar('saw', seed);
      const isIn = causesOf(saw.faults).includes('toeTooFarIn');
      for (const wheel of ['lf', 'rf'] as const) {
        expect(saw.file.tires[wheel].feather).toBe(isIn ? 'catchesOutward' : 'catchesInward');
      }
      expect(saw.file.tires.lr.feather).toBe('none');
      const waves = dealCar('waves', seed);
      const heavy = WHEELS.filter((wheel) => waves.file.tires[wheel].cupping === 'heavy');
      expect(heavy).toHaveLength(1);
      expect(dealCar('falseToe', seed).file.play).toMatchObject({
        lf: 'some',
        rf: 'some',
        lr: 'none',
      });
      const { measured, target } = dealCar('softSet', seed).file.tires.rr.pressure!;
      expect(measured! / target).toBeLessThan(0.85);
    }
  });

  it('shows the true depth on the mean, less surely at the inner ribs', () => {
    const car = dealCar('saw', 77);
    const errors = (rib: (typeof RIBS)[number]) =>
      WHEELS.flatMap((wheel) =>
        Array.from({ length: 80 }, (_, times) => car.gauge(wheel, rib, times))
          .filter(({ isAskew }) => !isAskew)
          .map(({ mm }) => mm - car.depthsMm[wheel][rib]),
      );
    expect(Math.abs(mean(errors('outer')))).toBeLessThan(0.03);
    expect(Math.abs(mean(errors('inner')))).toBeLessThan(0.05);
    expect(standardDeviation(errors('inner')) / standardDeviation(errors('outer'))).toBeGreaterThan(
      1.5,
    );
  });

  it('reads too much where the gauge stands askew, which is said', () => {
    const car = dealCar('saw', 78);
    const askew = WHEELS.flatMap((wheel) =>
      Array.from({ length: 60 }, (_, times) => ({ wheel, ...car.gauge(wheel, 'inner', times) })),
    ).filter(({ isAskew }) => isAskew);
    expect(askew.length).toBeGreaterThan(10);
    expect(mean(askew.map(({ wheel, mm }) => mm - car.depthsMm[wheel].inner))).toBeGreaterThan(0.5);
  });

  it('is right again where a wrong reading is read a second time', () => {
    const off = SEEDS.map((seed) => {
      const car = dealCar('wrongReading', seed);
      return Math.max(
        ...WHEELS.flatMap((wheel) =>
          RIBS.map((rib) => {
            const [first, second] = [car.gauge(wheel, rib, 0), car.gauge(wheel, rib, 1)];
            return first.isAskew || second.isAskew ? 0 : first.mm - second.mm;
          }),
        ),
      );
    });
    expect(mean(off)).toBeGreaterThan(1.2);
  });
});

describe('the usual chances', () => {
  it('are how often each fault is there on cars as they come in', () => {
    const cars = 500;
    const found = new Float64Array(FAULTS.length);
    for (let seed = 1; seed <= cars; seed++) {
      dealCar('free', 13 * seed).faults.forEach((isSo, column) => (found[column]! += isSo / cars));
    }
    FAULTS.forEach((_, column) => {
      // Three standard errors of the counted part, and half a hundredth that they are rounded by.
      const usual = USUAL_CHANCES[column]!;
      const error = 3 * Math.sqrt((usual * (1 - usual)) / cars) + 0.005;
      expect(Math.abs(found[column]! - usual), `${column}`).toBeLessThan(error);
    });
  });
});
