import { caseFileSchema } from '@keen/contract';
import type { CaseFile, EarlierReading } from '@keen/contract';
import {
  COMPLAINTS,
  DAMAGES,
  DRIVERS,
  EVENTS,
  LOADS,
  OCCASIONS,
  PUT_RIGHT,
  RIBS,
  TIRE_PAIRS,
  WHEELS,
} from '@keen/contract/words';
import type { Action } from '@keen/contract/words';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { LIVE_SWEEPS } from '../src/engine/diagnosis/diagnose.ts';
import { createDiagnosisRun } from '../src/steps/explain/diagnose.ts';
import { verdictOf } from '../src/steps/explain/verdict.ts';
import { evenCar } from './evenCar.ts';

/**
 * Treads that no world wore: any slope, crown and level on each tire, felt, measured and complained of at
 * random. Whatever the chances, what stands on the page must agree.
 */

const depth = (mm: number) => Math.max(0, Math.min(8, Math.round(10 * mm) / 10));
const within = (low: number, high: number) => fc.double({ min: low, max: high, noNaN: true });
const seldom = <T>(some: fc.Arbitrary<T>, weight: number) =>
  fc.option(some, { nil: null, freq: weight });

const tire = fc
  .record({
    level: within(2, 7),
    slope: fc.oneof(fc.constant(0), within(-2, 2)),
    crown: fc.oneof(fc.constant(0), fc.constant(0), within(-1.5, 1.5)),
    unread: fc.option(fc.constantFrom(...RIBS), { nil: null, freq: 8 }),
    feather: fc.constantFrom('none', 'unknown', 'catchesOutward', 'catchesInward'),
    cupping: fc.constantFrom('none', 'none', 'unknown', 'some', 'heavy'),
    damage: seldom(fc.constantFrom(...DAMAGES), 8),
    distance: fc.oneof(fc.constant(30_000), within(4_000, 60_000)),
    pressure: fc.oneof(fc.constant(230), fc.constant(null), fc.integer({ min: 160, max: 290 })),
  })
  .map(({ level, slope, crown, unread, pressure, damage, ...tire }) => {
    const station = {
      inner: depth(level - slope - crown / 2),
      centre: depth(level + crown / 2),
      outer: depth(level + slope - crown / 2),
    };
    return {
      stations: [unread ? { ...station, [unread]: null } : station],
      pressure: pressure === null ? undefined : { target: 230, measured: pressure },
      damage: damage === null ? undefined : [damage],
      ...tire,
    };
  });

const CROSSED = { lf: 'rr', rr: 'lf', rf: 'lr', lr: 'rf' } as const;

/** The same ribs some way back: each less worn by a share of what it has lost. */
function readBefore({ tires }: CaseFile, share: number): EarlierReading['tires'] {
  const then = (mm: number | null) => (mm === null ? null : depth(mm + share * (8 - mm)));
  return Object.fromEntries(
    WHEELS.map((wheel) => {
      const [{ inner, centre, outer }] = tires[wheel].stations as [Station];
      return [
        wheel,
        { stations: [{ inner: then(inner), centre: then(centre), outer: then(outer) }] },
      ];
    }),
  );
}

const car = fc
  .record({
    tires: fc.tuple(tire, tire, tire, tire),
    drive: fc.constantFrom('fwd', 'rwd', 'awd'),
    angles: seldom(
      fc.array(fc.record({ camber: within(-2.5, 1.5), toe: within(-0.4, 0.4) }), {
        minLength: 4,
        maxLength: 4,
      }),
      2,
    ),
    play: seldom(fc.constantFrom('none', 'some', 'excessive'), 2),
    complaint: seldom(fc.constantFrom(...COMPLAINTS), 2),
    rideHeightChange: seldom(fc.record({ front: within(-50, 50), rear: within(-50, 50) }), 4),
    crossedAt: seldom(within(2_000, 25_000), 3),
    readBefore: seldom(
      fc.record({ share: within(0.2, 0.8), putRight: fc.subarray([...PUT_RIGHT]) }),
      4,
    ),
    history: seldom(
      fc.record(
        {
          startedAfter: fc.subarray([...EVENTS], { maxLength: 2 }),
          occasions: fc.subarray([...OCCASIONS], { maxLength: 2 }),
          alignedAgo: within(0, 60_000),
          driver: fc.constantFrom(...DRIVERS),
          load: fc.constantFrom(...LOADS),
          tiresDiffer: fc.subarray([...TIRE_PAIRS]),
        },
        { requiredKeys: [] },
      ),
      1,
    ),
  })
  .map(({ tires, drive, angles, play, complaint, ...rest }) =>
    evenCar({}, (file) => {
      Object.assign(file.vehicle, { drive });
      if (rest.rideHeightChange) file.vehicle.rideHeightChange = rest.rideHeightChange;
      if (rest.history) file.history = rest.history;
      WHEELS.forEach((wheel, i) => Object.assign(file.tires[wheel], tires[i]));
      if (angles) {
        file.angles = Object.fromEntries(WHEELS.map((wheel, i) => [wheel, angles[i]]));
      }
      if (play) file.play = { lf: play as 'none' };
      if (complaint) file.complaints = [complaint];
      const run = Math.min(...WHEELS.map((wheel) => file.tires[wheel].distance));
      if (rest.crossedAt && rest.crossedAt < run) {
        file.rotations = [{ atDistance: rest.crossedAt, moves: CROSSED }];
      }
      if (rest.readBefore) {
        const { share, putRight } = rest.readBefore;
        file.history = {
          ...file.history,
          earlier: [{ ago: share * run, tires: readBefore(file, share), putRight }],
        };
      }
    }),
  );

type Station = CaseFile['tires']['lf']['stations'][number];

/** What among the reasons speaks for a course. */
const SPEAKS_FOR: Partial<Record<Action, RegExp>> = {
  checkAlignment: /camber|toe|alignment|angle|cornering/i,
  align: /camber|toe|align|angle/i,
  partsThenAlign: /joint|play|moves them on the road/i,
  balanceOrDampers: /damper|vibration/i,
  inflateAndWatch: /pressure|read it/i,
};

/** The difference that nobody calls even, mm. */
const UNEVEN_MM = 1.6;

it('headline, advice and reasons agree, whatever the tread', () => {
  fc.assert(
    fc.property(car, (drawn) => {
      const file = caseFileSchema.parse(drawn);
      const run = createDiagnosisRun(file);
      run.step(LIVE_SWEEPS);
      const { diagnosis } = run.answer();
      const { headline, isHealthy } = verdictOf(diagnosis, file);
      const { action, reasons, codes } = diagnosis.recommendation;
      const isUneven = WHEELS.some((wheel) => {
        const read = Object.values(file.tires[wheel].stations[0]!).filter((mm) => mm !== null);
        return Math.max(...read) - Math.min(...read) >= UNEVEN_MM;
      });
      if (isUneven) {
        expect(isHealthy, headline).toBe(false);
        expect(action, headline).not.toBe('fitOnly');
      }
      expect(reasons.length).toBeGreaterThan(0);
      expect(new Set(reasons).size).toBe(reasons.length);
      if (codes!.some(({ code }) => code === 'nothingOut')) expect(isHealthy, headline).toBe(true);
      if (isHealthy) expect(action).not.toMatch(/^(align|partsThenAlign)$/);
      const isFaultNamed = codes!.some(
        ({ code, figures: [cause] }) =>
          code === 'oneIsOut' || (code === 'causeAt' && cause !== 'hardCornering'),
      );
      if (action === 'fitOnly' && isFaultNamed) {
        const closing = codes!.filter(({ code }) =>
          /^(leftAlone|nothingToSet|alignedLately)$/.test(code),
        );
        expect(closing, headline).toHaveLength(1);
      }
      const isAskedFirst = codes!.some(({ code }) => code === 'dampersFirst');
      expect(run.outlook().dampersFirst).toBe(isAskedFirst);
      const speaks = SPEAKS_FOR[action];
      if (speaks) {
        expect(
          reasons.some((reason) => speaks.test(reason)),
          `${action}: ${reasons.join(' ')}`,
        ).toBe(true);
      }
    }),
    { seed: 14, numRuns: 80 },
  );
});
