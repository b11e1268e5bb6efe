import type { Forecast, VisitDraft } from '@keen/contract';
import { RIBS } from '@keen/contract/words';
import { describe, expect, it } from 'vitest';
import { byWheel } from '../engine/case/resolveCase.ts';
import { WHEEL_ORDER } from '../engine/case/wheels.ts';
import type { Outlook } from '../engine/outlook/outlook.ts';
import { createRandom } from '../engine/random/random.ts';
import type { CarVisit } from '../visit/tireLives.ts';
import { forecastOf, forecastsHeld, foretoldRibs, LEAST_FORECASTS } from './forecasts.ts';
import type { ForetoldRib } from './forecasts.ts';

/** 1 mm in 5,000 km from 6 mm, give or take a tenth of what is lost. */
const FORECAST: Forecast = {
  km: [0, 5_000, 10_000, 20_000],
  ribs: byWheel(() =>
    Object.fromEntries(
      RIBS.map((rib) => [
        rib,
        [0, 1, 2, 4].map((lost) => [6 - 1.1 * lost, 6 - lost, 6 - 0.9 * lost]),
      ]),
    ),
  ),
};

function visit(odometer: number, mm: number, draft: VisitDraft = {}): CarVisit {
  const stations = [{ inner: mm, centre: mm, outer: mm }];
  return {
    id: `at ${odometer}`,
    arrivedAt: new Date(odometer * 1_000_000).toISOString(),
    replaced: [],
    draft: {
      tires: byWheel(() => ({ newDepth: 8, distance: odometer - 50_000, stations })),
      ...draft,
      visit: { odometer },
    },
  };
}
const THEN = visit(60_000, 6);

describe('foretoldRibs', () => {
  it('reads between the points of the forecast', () => {
    const ribs = foretoldRibs(FORECAST, THEN, visit(67_500, 4.5));
    expect(ribs).toHaveLength(12);
    for (const rib of ribs) {
      expect(rib.km).toBe(7_500);
      expect(rib.foretold).toBeCloseTo(1.5, 10);
      expect(rib.found).toBeCloseTo(1.5, 10);
      expect(rib.isWithin).toBe(true);
    }
  });

  it('allows for the error of the reading, and for no more', () => {
    const isWithin = (mm: number, draft?: VisitDraft) =>
      foretoldRibs(FORECAST, THEN, visit(70_000, mm, draft))[0]!.isWithin;
    // The span is 3.8 to 4.2; a reading to 0.1 mm is off by 0.15, and 1.28 of that in quadrature is 0.28.
    expect(isWithin(3.75)).toBe(true);
    expect(isWithin(3.7)).toBe(false);
    expect(isWithin(4.25)).toBe(true);
    expect(isWithin(4.3)).toBe(false);
    expect(isWithin(4.4, { readingSpread: 0.4 })).toBe(true);
  });

  it('does not count another tire, one that changed places, or one that is bare', () => {
    const replaced = { ...THEN, replaced: ['lf' as const] };
    expect(foretoldRibs(FORECAST, replaced, visit(70_000, 4))).toHaveLength(9);
    const rotated: VisitDraft = {
      rotations: [{ atDistance: 10_000, moves: { lf: 'lr', lr: 'lf', rf: 'rr', rr: 'rf' } }],
    };
    expect(foretoldRibs(FORECAST, THEN, visit(70_000, 4, rotated))).toHaveLength(0);
    expect(foretoldRibs(FORECAST, THEN, visit(70_000, 0))).toHaveLength(0);
  });

  it('says nothing after too short a way, or beyond what was foretold', () => {
    expect(foretoldRibs(FORECAST, THEN, visit(61_500, 5.7))).toHaveLength(0);
    expect(foretoldRibs(FORECAST, THEN, visit(81_000, 1.8))).toHaveLength(0);
  });
});

describe('forecastOf', () => {
  it('keeps what was read to the hundredth, and nothing of a tread that was not', () => {
    const curve = {
      km: [0, 5_000],
      mm: [
        { low: 5.1234, median: 5.5, high: 6 },
        { low: 4, median: 4.5, high: 5 },
      ],
    };
    const none = { inner: null, centre: null, outer: null };
    const oldRibs = { ...byWheel(() => none), rr: { ...none, outer: curve } };
    expect(forecastOf({ oldRibs } as unknown as Outlook)).toEqual({
      km: [0, 5_000],
      ribs: {
        rr: {
          outer: [
            [5.12, 5.5, 6],
            [4, 4.5, 5],
          ],
        },
      },
    });
    expect(forecastOf({ oldRibs: null } as unknown as Outlook)).toBeNull();
  });
});

describe('forecastsHeld', () => {
  const car = (foretold: number, found: number, isWithin = true): ForetoldRib[] =>
    WHEEL_ORDER.map((wheel) => ({ wheel, rib: 'inner', km: 9_000, foretold, found, isWithin }));

  it('weighs cars by what was foretold of them', () => {
    const held = forecastsHeld([car(1, 1.2), car(3, 3), []]);
    expect(held).toMatchObject({ cars: 2, ribs: 8, isTooFew: true });
    expect(held.lost!.mean).toBeCloseTo(4.2 / 4, 10);
    expect(held.within!.part).toBe(1);
    expect(forecastsHeld([])).toMatchObject({ cars: 0, lost: null, within: null });
  });

  it('has an interval that holds the true ratio about 19 times in 20', () => {
    const random = createRandom(5);
    const RATIO = 1.1;
    const rounds = 400;
    let holds = 0;
    for (let round = 0; round < rounds; round++) {
      const cars = Array.from({ length: LEAST_FORECASTS + 10 }, () => {
        const foretold = 0.5 + 3 * random.uniform();
        // What is odd about a car is odd at all its ribs.
        return car(foretold, foretold * (RATIO + 0.3 * random.normal()), random.uniform() < 0.8);
      });
      const { lost } = forecastsHeld(cars);
      if (lost!.interval!.low <= RATIO && RATIO <= lost!.interval!.high) holds++;
    }
    expect(holds / rounds).toBeGreaterThan(0.91);
    expect(holds / rounds).toBeLessThan(0.98);
  });
});
