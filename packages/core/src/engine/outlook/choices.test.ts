import type { Action } from '@keen/contract/words';
import { ACTIONS } from '@keen/contract/words';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rankOptions } from './choices.ts';
import type { Constraints, WorkPrices } from './choices.ts';
import type { CarOut, CourseOutlook, Outlook } from './outlook.ts';

const PRICES: WorkPrices = {
  check: 3_000,
  align: 9_000,
  inspect: 2_500,
  parts: 18_000,
  balance: 8_000,
  adjustableArm: 20_000,
  inflate: 0,
  pressureSensor: 6_000,
  tire: { front: 11_000, rear: 11_000 },
};
const FREE: Constraints = { replaced: { front: 2, rear: 2 } };
const CURVE = { km: [], mm: [] };

/** A possible car by what a test is about; nothing else is out. */
type SomeCar = Pick<CarOut, 'isOut' | 'isLoose'> & Partial<CarOut>;

/** An outlook with the given lives of a pair, km, for each possible car and course. */
function outlookOf(
  cars: readonly SomeCar[],
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
    oldRibs: null,
    cars: cars.map((car) => ({
      isBouncing: false,
      isPressureOff: false,
      camberOut: [],
      toeOut: [],
      soft: [],
      ...car,
    })),
    dampersFirst: false,
    bars: {},
    checks: [],
  };
}

/** What each course's work comes to, written out again. */
function workByHand(course: Action, car: SomeCar, prices: WorkPrices): number {
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
  adjustableArm: price,
  balance: price,
  inflate: price,
  pressureSensor: price,
  tire: fc.record({ front: price, rear: price }),
});

describe('rankOptions', () => {
  it('agrees with writing every possible car out', () => {
    fc.assert(
      fc.property(someCars, somePrices, (drawn, prices) => {
        const cars = drawn.map(({ isOut, isLoose }) => ({ isOut, isLoose }));
        const outlook = outlookOf(cars, (course, i) => drawn[i]!.lives[ACTIONS.indexOf(course)]!);
        const weighing = rankOptions(outlook, prices, FREE);
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
      rankOptions(
        outlook,
        { ...PRICES, align, check: align, inflate: 100_000, balance: 100_000 },
        FREE,
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
    const free = rankOptions(outlook, dear, FREE);
    expect(free.advised.course).toBe('fitOnly');
    const bars = Object.fromEntries(
      ACTIONS.filter((course) => course !== 'partsThenAlign').map((course) => [
        course,
        'partsFirst' as const,
      ]),
    );
    const barred = rankOptions({ ...outlook, bars }, dear, FREE);
    expect(barred.advised.course).toBe('partsThenAlign');
    expect(barred.next).toBeNull();
    expect(barred.choices.filter(({ bar }) => bar === 'partsFirst')).toHaveLength(
      ACTIONS.length - 1,
    );
    expect(barred.worthOfMeasuring).toBe(0);
  });

  it('leaves out what the tread and the facts bar, whatever it costs', () => {
    const outlook = outlookOf([{ isOut: false, isLoose: false }], () => ({
      front: 40_000,
      rear: 40_000,
    }));
    const bars = { fitOnly: 'seen', inflateAndWatch: 'seen' } as const;
    const dear = { ...PRICES, balance: 90_000 };
    const barred = rankOptions({ ...outlook, bars }, dear, FREE);
    expect(barred.advised.course).toBe('partsThenAlign');
    expect(barred.choices.find(({ course }) => course === 'fitOnly')!.bar).toBe('seen');
  });

  it('counts the tires that are replaced, and the steps of a course by their chances', () => {
    const cars = [
      { isOut: true, isLoose: false },
      { isOut: false, isLoose: false },
    ];
    const outlook = outlookOf(cars, () => ({ front: 40_000, rear: 40_000 }));
    const { choices } = rankOptions(outlook, PRICES, { ...FREE, replaced: { front: 2, rear: 0 } });
    const check = choices.find(({ course }) => course === 'checkAlignment')!;
    expect(check.steps).toEqual([
      { price: 'check', minor: 3_000, chance: 1 },
      { price: 'align', minor: 9_000, chance: 0.5 },
    ]);
    expect(check.workNow).toBe(7_500);
    expect(check.now).toBe(7_500 + 2 * PRICES.tire.front);
  });

  it('counts dampers and balance into every course that sets the angles where they come first', () => {
    const outlook = outlookOf([{ isOut: true, isLoose: true }], () => ({
      front: 40_000,
      rear: 40_000,
    }));
    const plain = rankOptions(outlook, PRICES, FREE);
    const waves = rankOptions({ ...outlook, dampersFirst: true }, PRICES, FREE);
    for (const course of ACTIONS) {
      const of = ({ choices }: typeof plain) => choices.find((one) => one.course === course)!;
      const isMore = ['checkAlignment', 'align', 'partsThenAlign'].includes(course);
      expect(of(waves).workNow - of(plain).workNow).toBe(isMore ? PRICES.balance : 0);
      // Over one set of tires the whole of it.
      expect(of(waves).perThousandKm - of(plain).perThousandKm).toBeCloseTo(
        isMore ? PRICES.balance / 40 : 0,
        9,
      );
      if (isMore) {
        expect(of(waves).steps[0]).toEqual({ price: 'balance', minor: PRICES.balance, chance: 1 });
      }
    }
  });

  it('prices an arm for each wheel whose angle is out where the car has no adjuster for it', () => {
    const cars: SomeCar[] = [
      { isOut: true, isLoose: false, camberOut: ['lr', 'rr'] },
      { isOut: true, isLoose: false, camberOut: ['rr', 'lf'], toeOut: ['front'] },
      { isOut: false, isLoose: false },
    ];
    const outlook = outlookOf(cars, () => ({ front: 40_000, rear: 40_000 }));
    const at = (notAdjustable: Constraints['notAdjustable'] & {}) => {
      const { choices, arms } = rankOptions(outlook, PRICES, { ...FREE, notAdjustable });
      const of = (course: Action) => choices.find((one) => one.course === course)!;
      return { arms, align: of('align'), check: of('checkAlignment'), air: of('inflateAndWatch') };
    };
    const rear = at({ camber: ['rear'], toe: [] });
    expect(rear.arms).toEqual(['rr']);
    expect(rear.align.steps).toEqual([
      { price: 'align', minor: 9_000, chance: 1 },
      // Two, one and none: one and a half where any.
      { price: 'adjustableArm', minor: 30_000, chance: 2 / 3 },
    ]);
    expect(rear.align.workNow).toBeCloseTo(9_000 + 20_000, 6);
    expect(rear.check.workNow).toBeCloseTo(3_000 + (2 / 3) * 9_000 + 20_000, 6);
    expect(rear.air.workNow).toBe(0);
    // Toe that has no adjuster takes both wheels of the axle, so that they stay alike.
    expect(at({ camber: [], toe: ['front'] }).align.workNow).toBeCloseTo(9_000 + 40_000 / 3, 6);
    expect(at({ camber: [], toe: [] }).align.steps).toHaveLength(1);
    expect(rankOptions(outlook, PRICES, FREE).arms).toEqual([]);
  });

  it('says what sensors cost and what soft tires took, where they likely ran soft', () => {
    const soft: SomeCar = { isOut: false, isLoose: false, soft: ['lr'] };
    const outlook = outlookOf([soft, soft, { isOut: false, isLoose: false }], (course) => ({
      front: 40_000,
      rear: course === 'fitOnly' ? 20_000 : 40_000,
    }));
    // Left as it is the car takes two pairs of rears where it would take one.
    expect(rankOptions(outlook, { ...PRICES, inflate: 500 }, FREE).sensors).toEqual({
      wheels: ['lr'],
      minor: 6_000,
      atStake: 2 * PRICES.tire.rear,
    });
    expect(rankOptions(outlook, { ...PRICES, pressureSensor: 0 }, FREE).sensors).toBeNull();
    const firm = outlookOf([soft, { ...soft, soft: [] }], () => ({ front: 40_000, rear: 40_000 }));
    expect(rankOptions(firm, PRICES, FREE).sensors).toBeNull();
  });

  it('puts intervals to what a course costs and saves', () => {
    const cars = Array.from({ length: 11 }, () => ({ isOut: true, isLoose: false }));
    // Aligned every car does 40,000 km; as it is the fronts of car i do 10,000 + 3,000 i.
    const outlook = outlookOf(cars, (course, i) => ({
      front: course === 'align' ? 40_000 : 10_000 + 3_000 * i,
      rear: 40_000,
    }));
    const align = rankOptions(outlook, PRICES, FREE).choices.find(
      ({ course }) => course === 'align',
    )!;
    const saved = cars.map((_car, i) => 22_000 * (40_000 / (10_000 + 3_000 * i) - 1) - 9_000);
    expect(align.saves.mean).toBeCloseTo(saved.reduce((sum, one) => sum + one) / 11, 6);
    // Of eleven values the second and the tenth hold eight in ten.
    expect(align.saves.low).toBeCloseTo(saved[9]!, 6);
    expect(align.saves.high).toBeCloseTo(saved[1]!, 6);
    expect(align.perThousandKmSpan.low).toBeCloseTo(align.perThousandKmSpan.high, 9);
  });

  it('prices a check by writing every answer out', () => {
    const twoAnswers = fc.array(fc.double({ min: 0, max: 1, noNaN: true }), {
      minLength: 6,
      maxLength: 6,
    });
    fc.assert(
      fc.property(someCars, twoAnswers, (drawn, chance) => {
        const outlook = outlookOf(
          drawn.map(({ isOut, isLoose }) => ({ isOut, isLoose })),
          (course, i) => drawn[i]!.lives[ACTIONS.indexOf(course)]!,
        );
        const chances = drawn.map((_car, i) => [chance[i]!, 1 - chance[i]!]);
        const checks = [{ check: 'checkPlay', where: 'front', chances }] as const;
        const weighing = rankOptions({ ...outlook, checks: [...checks] }, PRICES, FREE);
        const horizon = weighing.horizonKm;
        const cost = (course: Action, i: number) => {
          const { front, rear } = drawn[i]!.lives[ACTIONS.indexOf(course)]!;
          const tires = 2 * 11_000 * (horizon / front + horizon / rear);
          return workByHand(course, outlook.cars[i]!, PRICES) + tires;
        };
        const best = (weight: (car: number) => number) =>
          Math.min(
            ...ACTIONS.map((course) =>
              drawn.reduce((sum, _car, i) => sum + weight(i) * cost(course, i), 0),
            ),
          );
        const after = [0, 1].reduce((sum, a) => sum + best((i) => chances[i]![a]!), 0);
        const [worth] = weighing.checks;
        expect(worth!.minor).toBeCloseTo((best(() => 1) - after) / drawn.length, 3);
        expect(worth!.minor).toBeGreaterThanOrEqual(0);
        expect(worth!.changes).toBeLessThanOrEqual(1);
        // An answer that changes nothing is worth nothing.
        if (worth!.changes === 0) expect(worth!.minor).toBeCloseTo(0, 6);
      }),
    );
  });

  it.each([
    ['partsThenAlign', 'isLoose', 'checkPlay'],
    ['balanceOrDampers', 'isBouncing', 'feelWaves'],
    ['inflateAndWatch', 'isPressureOff', 'checkPressure'],
  ] as const)(
    'opens %s after an answer only where that makes its fault likely',
    (work, fault, check) => {
      const cars = Array.from({ length: 10 }, (_, i) => ({
        isOut: false,
        isLoose: false,
        [fault]: i === 0,
      }));
      // By a hair this work is the cheapest course for these cars, and the bar leaves it out.
      const outlook = outlookOf(cars, (course, i) => {
        const km = course === work ? 45_000 : i === 0 ? 20_000 : 40_000;
        return { front: km, rear: km };
      });
      const worthWith = (chances: (readonly number[])[]) =>
        rankOptions(
          {
            ...outlook,
            bars: { [work]: 'unlikely' },
            checks: [{ check, where: 'front', chances }],
          },
          PRICES,
          FREE,
        ).checks[0]!;
      const telling = cars.map((_, i) => (i === 0 ? [0.9, 0.1] : [0.02, 0.98]));
      const faint = cars.map((_, i) => (i === 0 ? [0.2, 0.8] : [0.15, 0.85]));
      const heard = worthWith(telling);
      expect(heard.minor).toBeGreaterThan(0);
      // The fault is found on a tenth of these cars or so, and on no other does the advice change.
      expect(heard.changes).toBeCloseTo((0.9 + 9 * 0.02) / 10, 9);
      expect(worthWith(faint)).toMatchObject({ minor: 0, changes: 0 });
    },
  );

  it('refuses where no car is possible', () => {
    expect(() =>
      rankOptions(
        outlookOf([], () => ({ front: 1, rear: 1 })),
        PRICES,
        FREE,
      ),
    ).toThrow(RangeError);
  });
});
