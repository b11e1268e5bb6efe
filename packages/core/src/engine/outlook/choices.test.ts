import type { Action } from '@keen/contract/words';
import { ACTIONS } from '@keen/contract/words';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { weigh } from './choices.ts';
import type { WorkPrices } from './choices.ts';
import type { CourseOutlook, Outlook } from './outlook.ts';

const PRICES: WorkPrices = {
  check: 3_000,
  align: 9_000,
  inspect: 2_500,
  parts: 18_000,
  balance: 8_000,
  inflate: 0,
  tire: { front: 11_000, rear: 11_000 },
};
const CURVE = { km: [], mm: [] };

/** An outlook with the given lives of a pair, km, for each possible car and course. */
function outlookOf(
  cars: Outlook['cars'],
  life: (course: Action, car: number) => { front: number; rear: number },
): Outlook {
  const courses = ACTIONS.map((course): CourseOutlook => {
    const lives = cars.map((_car, i) => life(course, i));
    const first = lives.map(({ front, rear }) => Math.min(front, rear)).toSorted((a, b) => a - b);
    const median = first[Math.floor(first.length / 2)]!;
    return {
      course,
      lifeKm: { low: first[0]!, median, high: first.at(-1)! },
      first: { wheel: 'lf', rib: 'inner' },
      needless: 0,
      comesBack: 0,
      pairsPerKm: {
        front: lives.map(({ front }) => 1 / front),
        rear: lives.map(({ rear }) => 1 / rear),
      },
    };
  });
  return {
    limitMm: 1.6,
    newDepthMm: 8,
    courses,
    oldKm: null,
    curves: { oldAsIs: null, newAsIs: CURVE, newPutRight: CURVE },
    cars,
  };
}

/** What each course's work comes to, written out again. */
function workByHand(course: Action, car: Outlook['cars'][number], prices: WorkPrices): number {
  const align = car.isOut ? prices.align : 0;
  const table: Record<Action, number> = {
    fitOnly: 0,
    inflateAndWatch: prices.inflate,
    checkAlignment: prices.check + align,
    align: prices.align,
    partsThenAlign: prices.inspect + (car.isLoose ? prices.parts + prices.align : align),
    balanceOrDampers: prices.balance,
  };
  return table[course];
}

const life = fc.integer({ min: 5_000, max: 90_000 });
const someCars = fc.array(
  fc.record({
    isOut: fc.boolean(),
    isLoose: fc.boolean(),
    lives: fc.array(fc.record({ front: life, rear: life }), { minLength: 6, maxLength: 6 }),
  }),
  { minLength: 1, maxLength: 6 },
);
const price = fc.integer({ min: 0, max: 40_000 });
const somePrices: fc.Arbitrary<WorkPrices> = fc.record({
  check: price,
  align: price,
  inspect: price,
  parts: price,
  balance: price,
  inflate: price,
  tire: fc.record({ front: price, rear: price }),
});

describe('weigh', () => {
  it('agrees with writing every possible car out', () => {
    fc.assert(
      fc.property(someCars, somePrices, (drawn, prices) => {
        const cars = drawn.map(({ isOut, isLoose }) => ({ isOut, isLoose }));
        const outlook = outlookOf(cars, (course, i) => drawn[i]!.lives[ACTIONS.indexOf(course)]!);
        const weighing = weigh(outlook, prices, { partsFirst: false });
        const horizon = Math.max(...outlook.courses.map(({ lifeKm }) => lifeKm.median));
        const cost = (course: Action, i: number) => {
          const { front, rear } = drawn[i]!.lives[ACTIONS.indexOf(course)]!;
          const tires =
            2 * prices.tire.front * (horizon / front) + 2 * prices.tire.rear * (horizon / rear);
          return workByHand(course, cars[i]!, prices) + tires;
        };
        const sum = (course: Action, among: number[]) =>
          among.reduce((total, i) => total + cost(course, i), 0);
        const all = [...cars.keys()];
        const least = (courses: readonly Action[], among: number[]) =>
          Math.min(...courses.map((course) => sum(course, among)));
        expect(weighing.horizonKm).toBe(horizon);
        expect((weighing.advised.perThousandKm * horizon) / 1000).toBeCloseTo(
          least(ACTIONS, all) / cars.length,
          4,
        );
        const blind = ACTIONS.filter((course) => course !== 'checkAlignment');
        const groups = [all.filter((i) => cars[i]!.isOut), all.filter((i) => !cars[i]!.isOut)];
        const informed = groups.reduce(
          (total, group) => total + (group.length > 0 ? least(blind, group) : 0),
          0,
        );
        expect(weighing.worthOfMeasuring).toBeCloseTo(
          (least(blind, all) - informed) / cars.length,
          4,
        );
        const cheapest = all.filter((i) =>
          ACTIONS.every((course) => cost(course, i) >= cost(weighing.advised.course, i) - 1e-6),
        );
        expect(weighing.sure).toBeCloseTo(cheapest.length / cars.length, 9);
        // Knowing more is never worth less than nothing.
        expect(weighing.worthOfMeasuring).toBeGreaterThanOrEqual(0);
      }),
    );
  });

  it('flips from aligning to fitting alone just at the break-even price', () => {
    // Surely out: 20,000 km as it is, 50,000 km aligned, on the front axle; the rear does not care.
    const cars = [{ isOut: true, isLoose: false }];
    const aligns: Action[] = ['align', 'checkAlignment', 'partsThenAlign'];
    const outlook = outlookOf(cars, (course) => ({
      front: aligns.includes(course) ? 50_000 : 20_000,
      rear: 50_000,
    }));
    // Over the 50,000 km the fronts are bought 2.5 times instead of once: 1.5 pairs at 220.00.
    const breakEven = 1.5 * 2 * PRICES.tire.front;
    const at = (align: number) =>
      weigh(
        outlook,
        { ...PRICES, align, check: align, inflate: 100_000, balance: 100_000 },
        { partsFirst: false },
      );
    expect(at(breakEven - 1).advised.course).toMatch(/align|checkAlignment/);
    expect(at(breakEven + 1).advised.course).toBe('fitOnly');
    // Found by halving, from outside, as the tests of the screen would.
    let [cheap, dear] = [0, 100_000];
    while (dear - cheap > 1) {
      const half = Math.floor((cheap + dear) / 2);
      if (at(half).advised.course === 'fitOnly') dear = half;
      else cheap = half;
    }
    expect(Math.abs(dear - breakEven)).toBeLessThanOrEqual(1);
    expect(at(breakEven - 200).next!.dearer).toBeCloseTo(200, 6);
    expect(at(0).sure).toBe(1);
  });

  it('bars everything but the parts when something unsafe comes first, whatever it costs', () => {
    const outlook = outlookOf([{ isOut: false, isLoose: true }], () => ({
      front: 40_000,
      rear: 40_000,
    }));
    const dear = { ...PRICES, parts: 900_000 };
    const free = weigh(outlook, dear, { partsFirst: false });
    expect(free.advised.course).toBe('fitOnly');
    const barred = weigh(outlook, dear, { partsFirst: true });
    expect(barred.advised.course).toBe('partsThenAlign');
    expect(barred.next).toBeNull();
    expect(barred.choices.filter(({ isBarred }) => isBarred)).toHaveLength(ACTIONS.length - 1);
    expect(barred.worthOfMeasuring).toBe(0);
  });

  it('refuses to weigh when no car is possible', () => {
    expect(() =>
      weigh(
        outlookOf([], () => ({ front: 1, rear: 1 })),
        PRICES,
        { partsFirst: false },
      ),
    ).toThrow(RangeError);
  });
});
