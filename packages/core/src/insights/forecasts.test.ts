import type { Forecast, VisitDraft } from '@keen/contract';
import { RIBS } from '@keen/contract/words';
import { describe, expect, it } from 'vitest';
import { byWheel } from '../engine/case/resolveCase.ts';
import { WHEEL_ORDER } from '../engine/case/wheels.ts';
import type { RibsAfter } from '../engine/outlook/ribsAfter.ts';
import { createRandom } from '../engine/random/random.ts';
import type { CarVisit } from '../visit/tireLives.ts';
import {
  forecastOf,
  forecastsHeld,
  forecastRibs,
  isAsForecast,
  LEAST_FORECASTS,
} from './forecasts.ts';
import type { ForecastRib } from './forecasts.ts';

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

describe('forecastRibs', () => {
  it('reads between the points of the forecast', () => {
    const ribs = forecastRibs(FORECAST, THEN, visit(67_500, 4.5));
    expect(ribs).toHaveLength(12);
    for (const rib of ribs) {
      expect(rib.km).toBe(7_500);
      expect(rib.forecast).toBeCloseTo(1.5, 10);
      expect(rib.found).toBeCloseTo(1.5, 10);
      expect(rib.isWithin).toBe(true);
    }
  });

  it('allows for the error of the reading, and for no more', () => {
    const isWithin = (mm: number, draft?: VisitDraft) =>
      forecastRibs(FORECAST, THEN, visit(70_000, mm, draft))[0]!.isWithin;
    // The span is 3.8 to 4.2; a reading to 0.1 mm is off by 0.15, and 1.28 of that in quadrature is 0.28.
    expect(isWithin(3.75)).toBe(true);
    expect(isWithin(3.7)).toBe(false);
    expect(isWithin(4.25)).toBe(true);
    expect(isWithin(4.3)).toBe(false);
    expect(isWithin(4.4, { readingSpread: 0.4 })).toBe(true);
  });

  it('does not count another tire, one that changed places, or one that is bare', () => {
    const replaced = { ...THEN, replaced: ['lf' as const] };
    expect(forecastRibs(FORECAST, replaced, visit(70_000, 4))).toHaveLength(9);
    const rotated: VisitDraft = {
      rotations: [{ atDistance: 10_000, moves: { lf: 'lr', lr: 'lf', rf: 'rr', rr: 'rf' } }],
    };
    expect(forecastRibs(FORECAST, THEN, visit(70_000, 4, rotated))).toHaveLength(0);
    expect(forecastRibs(FORECAST, THEN, visit(70_000, 0))).toHaveLength(0);
  });

  it('says nothing after too short a way, or beyond what was forecast', () => {
    expect(forecastRibs(FORECAST, THEN, visit(61_500, 5.7))).toHaveLength(0);
    expect(forecastRibs(FORECAST, THEN, visit(81_000, 1.8))).toHaveLength(0);
  });
});

describe('forecastRibs of new tires', () => {
  const forecast: Forecast = { ...FORECAST, course: 'align', replaced: ['lf', 'rf'] };
  const replaced = { ...THEN, replaced: ['lf', 'rf'] as const };
  /** Fronts fitted at THEN, 10,000 km ago; the rears ran on. */
  function later(front: { mm: number; newDepth?: number; distance?: number }): CarVisit {
    const now = visit(70_000, 4);
    for (const wheel of ['lf', 'rf'] as const) {
      Object.assign(now.draft.tires![wheel]!, {
        newDepth: front.newDepth ?? 6,
        distance: front.distance ?? 10_000,
        stations: [{ inner: front.mm, centre: front.mm, outer: front.mm }],
      });
    }
    return now;
  }
  const fresh = (now: CarVisit) =>
    forecastRibs(forecast, replaced, now, true).filter(({ kind }) => kind === 'fresh');

  it('counts what was fitted then, and the others as of a car put right', () => {
    const ribs = forecastRibs(forecast, replaced, later({ mm: 4 }), true);
    expect(ribs.map(({ kind }) => kind)).toEqual([
      ...Array<string>(6).fill('fresh'),
      ...Array<string>(6).fill('putRight'),
    ]);
    expect(fresh(later({ mm: 4 }))[0]).toMatchObject({ forecast: 2, found: 2, isWithin: true });
  });

  it('takes the new depth that was entered for them', () => {
    // 8 mm to begin with instead of 6: 2 mm lost either way.
    const [rib] = fresh(later({ mm: 6, newDepth: 8 }));
    expect(rib).toMatchObject({ forecast: 2, found: 2, isWithin: true });
    expect(fresh(later({ mm: 4, newDepth: 8 }))[0]).toMatchObject({ found: 4, isWithin: false });
  });

  it('does not count tires that were fitted later, or changed places', () => {
    expect(fresh(later({ mm: 5, distance: 4_000 }))).toEqual([]);
    const rotated = later({ mm: 4 });
    rotated.draft.rotations = [
      { atDistance: 10_000, moves: { lf: 'rf', rf: 'lf', lr: 'lr', rr: 'rr' } },
    ];
    expect(fresh(rotated)).toEqual([]);
  });
});

describe('isAsForecast', () => {
  const of = (course: Forecast['course']): Forecast => ({ ...FORECAST, ...(course && { course }) });
  const agreed = (action: 'align' | 'fitOnly', draft: VisitDraft = {}) => ({
    draft,
    decision: { action, answer: 'yes' as const, replace: [] },
  });
  const wasSet: VisitDraft = { visit: { setRight: { before: {} } } };

  it('is so where the work was done that the forecast was made for', () => {
    expect(isAsForecast(of('align'), agreed('align'))).toBe(true);
    expect(isAsForecast(of('fitOnly'), agreed('fitOnly'))).toBe(true);
    expect(isAsForecast(of('checkAlignment'), agreed('fitOnly', wasSet))).toBe(true);
  });

  it('is not where angles were set all the same, nor of an old forecast where anything was done', () => {
    expect(isAsForecast(of('fitOnly'), agreed('fitOnly', wasSet))).toBe(false);
    expect(isAsForecast(of(undefined), agreed('align'))).toBe(false);
    expect(isAsForecast(of(undefined), agreed('fitOnly'))).toBe(true);
  });
});

describe('forecastOf', () => {
  const curve = (start: number) => ({
    km: [0, 5_000],
    mm: [
      { low: start - 0.3766, median: start, high: start + 0.5 },
      { low: 4, median: 4.5, high: 5 },
    ],
  });
  const none = { inner: null, centre: null, outer: null };
  const ribsAfter = {
    fitOnly: {
      worn: { ...byWheel(() => none), rr: { ...none, outer: curve(5.5) } },
      fresh: byWheel(() => none),
    },
    align: {
      worn: { ...byWheel(() => none), rr: { ...none, outer: curve(5.4) } },
      fresh: { ...byWheel(() => none), lf: { ...none, inner: curve(8) } },
    },
  } as unknown as RibsAfter;

  it('is of the tires as they are where the work was not agreed', () => {
    expect(forecastOf(ribsAfter, { action: 'align', answer: 'no', replace: ['lf'] })).toEqual({
      km: [0, 5_000],
      course: 'fitOnly',
      replaced: [],
      ribs: {
        rr: {
          outer: [
            [5.12, 5.5, 6],
            [4, 4.5, 5],
          ],
        },
      },
    });
  });

  it('is of new tires where they were, after the work', () => {
    const forecast = forecastOf(ribsAfter, { action: 'align', answer: 'yes', replace: ['lf'] })!;
    expect(forecast).toMatchObject({ course: 'align', replaced: ['lf'] });
    expect(forecast.ribs.lf!.inner![0]![1]).toBe(8);
    expect(forecast.ribs.rr!.outer![0]![1]).toBe(5.4);
  });

  it('is none of a tread that was not read', () => {
    expect(
      forecastOf({ fitOnly: { worn: null, fresh: byWheel(() => none) } } as unknown as RibsAfter, {
        action: 'fitOnly',
        answer: 'yes',
        replace: [],
      }),
    ).toBeNull();
  });
});

describe('forecastsHeld', () => {
  const car = (forecast: number, found: number, isWithin = true): ForecastRib[] =>
    WHEEL_ORDER.map((wheel) => ({
      wheel,
      rib: 'inner',
      kind: 'ranOn',
      km: 9_000,
      forecast,
      found,
      isWithin,
    }));

  it('weighs cars by what was forecast of them', () => {
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
        const forecast = 0.5 + 3 * random.uniform();
        // What is odd about a car is odd at all its ribs.
        return car(forecast, forecast * (RATIO + 0.3 * random.normal()), random.uniform() < 0.8);
      });
      const { lost } = forecastsHeld(cars);
      if (lost!.interval!.low <= RATIO && RATIO <= lost!.interval!.high) holds++;
    }
    expect(holds / rounds).toBeGreaterThan(0.91);
    expect(holds / rounds).toBeLessThan(0.98);
  });
});
