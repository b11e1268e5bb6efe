import type { CaseFile, EarlierReading, VisitDraft } from '@keen/contract';
import { parseCaseFile } from '@keen/contract';
import type { PutRight, Wheel } from '@keen/contract/words';
import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { resolveCase } from '../src/engine/case/resolveCase.ts';
import { RATE_SD, READING_SD_MM } from '../src/engine/case/treadFacts.ts';
import { depthEvidence } from '../src/engine/diagnosis/depthEvidence.ts';
import { inverseOf, triangleOf3 } from '../src/engine/math/smallMatrix.ts';
import { tirePaths } from '../src/engine/wear/paths.ts';
import { diagnose } from '../src/steps/explain/diagnose.ts';
import { verdictOf } from '../src/steps/explain/verdict.ts';
import { draftToCase } from '../src/visit/draftToCase.ts';
import { evenCar } from './evenCar.ts';

type Ribs = readonly [inner: number, centre: number, outer: number];

function earlier(
  ago: number,
  ribs: Partial<Record<Wheel, Ribs>>,
  putRight?: readonly PutRight[],
): EarlierReading {
  return {
    ago,
    tires: Object.fromEntries(
      Object.entries(ribs).map(([wheel, [inner, centre, outer]]) => [
        wheel,
        { stations: [{ inner, centre, outer }] },
      ]),
    ),
    ...(putRight ? { putRight: [...putRight] } : {}),
  };
}

const withEarlier =
  (...readings: EarlierReading[]) =>
  (file: CaseFile) => {
    file.history = { earlier: readings };
  };

/** Even all round, as an ordinary front-drive car is after 18,000 of 30,000 km. */
const EVEN_THEN = {
  lf: [6.5, 6.6, 6.5],
  rf: [6.5, 6.6, 6.5],
  lr: [7, 7, 7],
  rr: [7, 7, 7],
} as const;

describe('an earlier visit', () => {
  const wornEdge: [number, number, number] = [3.2, 4.9, 5.3];

  it('at which the angles were set takes the edge that was worn before out of the question', () => {
    const then = { ...EVEN_THEN, lf: [4.2, 5.9, 6.3] } as const;
    const alone = diagnose(evenCar({ lf: wornEdge })).diagnosis;
    const file = evenCar({ lf: wornEdge }, withEarlier(earlier(12_000, then, ['angles'])));
    const { diagnosis } = diagnose(file);
    expect(alone.wheels.lf.probability.camberTooNegative).toBeGreaterThan(0.6);
    expect(alone.recommendation.action).not.toBe('fitOnly');
    expect(diagnosis.wheels.lf.probability.camberTooNegative).toBeLessThan(0.15);
    expect(diagnosis.recommendation.action).toBe('fitOnly');
    expect(diagnosis.since).toEqual({ km: 12_000, because: 'putRight', putRight: ['angles'] });
    // What was lost is counted from then on, and the depth is today's.
    expect(diagnosis.wheels.lf.wear.total).toBeCloseTo(1, 6);
    expect(diagnosis.wheels.lf.minDepth).toBe(3.2);
    expect(verdictOf(diagnosis, file).isHealthy).toBe(true);
  });

  it('after which an edge went on wearing leaves the fault where it is', () => {
    const then = { ...EVEN_THEN, lf: [5.6, 6.4, 6.6] } as const;
    const file = evenCar({ lf: [3.3, 4.9, 5.6] }, withEarlier(earlier(12_000, then, ['angles'])));
    const { diagnosis } = diagnose(file);
    expect(diagnosis.wheels.lf.probability.camberTooNegative).toBeGreaterThan(0.5);
    expect(diagnosis.recommendation.action).not.toBe('fitOnly');
  });

  it('at which all was even tells that an edge has begun to go since', () => {
    const file = evenCar({ lf: [3.7, 4.9, 5.6] }, withEarlier(earlier(12_000, EVEN_THEN)));
    const { diagnosis } = diagnose(file);
    expect(diagnosis.since).toMatchObject({ km: 12_000, because: 'changed' });
    expect(diagnosis.wheels.lf.probability.camberTooNegative).toBeGreaterThan(0.6);
    // The fault that began lately is larger than the whole life's mean would say.
    const whole = diagnose(evenCar({ lf: [3.7, 4.9, 5.6] })).diagnosis;
    expect(diagnosis.wheels.lf.camber.mean).toBeLessThan(whole.wheels.lf.camber.mean);
  });

  it('at which only the pressures were set does not excuse an edge soon after', () => {
    const read = (km: number, then: Parameters<typeof earlier>[1]) =>
      diagnose(evenCar({ lf: wornEdge }, withEarlier(earlier(km, then, ['pressures'])))).diagnosis;
    const lately = {
      lf: [3.5, 5.1, 5.5],
      rf: [5.7, 5.8, 5.7],
      lr: [6.4, 6.5, 6.4],
      rr: [6.4, 6.5, 6.4],
    } as const;
    const soon = read(2_000, lately);
    expect(soon.since).toBeUndefined();
    expect(soon.wheels.lf.probability.camberTooNegative).toBeGreaterThan(0.6);
    expect(soon.recommendation.action).not.toBe('fitOnly');
    // After a long way the tread tells by itself.
    expect(read(12_000, { ...EVEN_THEN, lf: [4.4, 5.9, 6.2] }).since).toMatchObject({
      because: 'putRight',
      putRight: ['pressures'],
    });
  });

  it('that fits the rest changes little, and narrows the rate', () => {
    const file = evenCar({}, withEarlier(earlier(12_000, EVEN_THEN)));
    const { diagnosis } = diagnose(file);
    expect(diagnosis.since).toBeUndefined();
    expect(diagnosis.recommendation.action).toBe('fitOnly');
  });

  it('is passed over where it cannot be told how all the tires stood then', () => {
    const { lf, rf } = EVEN_THEN;
    const file = evenCar({ lf: wornEdge }, withEarlier(earlier(12_000, { lf, rf }, ['angles'])));
    expect(resolveCase(file).since).toBeNull();
  });

  it('gives the same answer in both units', () => {
    const then = { ...EVEN_THEN, lf: [4.2, 5.9, 6.3] } as const;
    const metric = evenCar({ lf: wornEdge }, withEarlier(earlier(16_093.44, then, ['angles'])));
    const miles = structuredClone(metric);
    miles.units.distance = 'mi';
    for (const tire of Object.values(miles.tires)) tire.distance /= 1.609344;
    miles.history!.earlier![0]!.ago = 10_000;
    const [a, b] = [resolveCase(metric), resolveCase(miles)];
    expect(b.tires.lf.stretch.distanceKm).toBeCloseTo(a.tires.lf.stretch.distanceKm, 6);
    expect(b.since!.agoKm).toBeCloseTo(a.since!.agoKm, 6);
  });
});

describe('what earlier readings of a tire say of today’s loss', () => {
  /** Log density of a normal by its precision, up to the determinant. */
  const square = (off: readonly number[], covariance: readonly (readonly number[])[]) => {
    const precision = inverseOf(covariance);
    return off.reduce(
      (sum, a, i) => sum + off.reduce((row, b, j) => row + a * precision[i]![j]! * b, 0),
      0,
    );
  };
  const loss = fc.double({ min: 0.5, max: 4, noNaN: true });
  const reading = fc.tuple(loss, loss, loss);

  it('is what the joint density of all readings says, for any true loss', () => {
    fc.assert(
      fc.property(reading, reading, reading, reading, (then, now, one, other) => {
        // As the engine has it: one tire in its place, read twice; losses from a new depth of 8.
        const ribs = (lost: readonly number[]): [number, number, number] =>
          lost.map((mm) => 8 - mm) as [number, number, number];
        const file = evenCar(
          { lf: ribs(now) },
          withEarlier(earlier(12_000, { ...EVEN_THEN, lf: ribs(then) })),
        );
        const resolved = resolveCase(file);
        fc.pre(resolved.since === null);
        const { lossMm, covariance } = depthEvidence(resolved, tirePaths(resolved))[0]!;
        const reduced = (r: readonly number[]) =>
          square(
            r.map((mm, i) => lossMm[i]! - mm),
            [0, 1, 2].map((i) => [0, 1, 2].map((j) => covariance[3 * i + j]!)),
          );
        const slowed = (mm: number) => 1 + 0.15 * (1 - mm / 8);
        const parts = now.map((mm, i) => Math.min(1, (0.6 * slowed(then[i]!)) / slowed(mm)));
        const rounding = 0.1 ** 2 / 12;
        const meanLost = (now[0] + now[1] + now[2]) / 3;
        const ofNow = READING_SD_MM ** 2 + (0.04 * meanLost) ** 2 + rounding;
        const joint = (r: readonly number[]) => {
          const off = [
            ...r.map((mm, i) => now[i]! - mm),
            ...r.map((mm, i) => then[i]! - parts[i]! * mm),
          ];
          const own = [
            ...now.map(() => ofNow),
            ...now.map((mm, i) => {
              const drift = RATE_SD * Math.SQRT2 * parts[i]! * (1 - parts[i]!) * mm;
              return READING_SD_MM ** 2 + rounding + drift ** 2;
            }),
          ];
          // What it began with is off by the same for all.
          return square(
            off,
            own.map((variance, i) => own.map((_, j) => 0.15 ** 2 + (i === j ? variance : 0))),
          );
        };
        expect(reduced(one) - reduced(other)).toBeCloseTo(joint(one) - joint(other), 3);
      }),
    );
  });

  it('inverts and takes roots of small matrices', () => {
    // Worked by hand: 4 2 / 2 3 has the determinant 8.
    const [first, second] = inverseOf([
      [4, 2],
      [2, 3],
    ]);
    for (const [i, value] of [3 / 8, -2 / 8].entries()) expect(first![i]).toBeCloseTo(value, 12);
    for (const [i, value] of [-2 / 8, 4 / 8].entries()) expect(second![i]).toBeCloseTo(value, 12);
    const l = triangleOf3(Float64Array.of(4, 2, 2, 2, 5, 3, 2, 3, 6));
    expect([...l]).toEqual([2, 0, 0, 1, 2, 0, 1, 1, 2]);
  });
});

describe('earlier readings in a case file', () => {
  const refused = (reading: EarlierReading, change: (file: CaseFile) => void = () => undefined) => {
    const file = evenCar({}, withEarlier(reading));
    change(file);
    const parsed = parseCaseFile(file);
    return parsed.ok ? null : parsed.error.path;
  };

  it('are refused at their place', () => {
    expect(refused(earlier(12_000, EVEN_THEN))).toBeNull();
    expect(refused(earlier(31_000, EVEN_THEN))).toBe('history.earlier.0.tires.lf');
    expect(refused(earlier(12_000, { lf: [9, 8, 8] }))).toBe(
      'history.earlier.0.tires.lf.stations.0.inner',
    );
    expect(
      refused(earlier(5_000, EVEN_THEN), (file) => {
        file.history!.earlier!.push(earlier(9_000, EVEN_THEN));
      }),
    ).toBe('history.earlier.1.ago');
  });

  it('come from the visits of a car: the tires that are still on it, and what was done', () => {
    const draft = (km: number, odometer: number, mm: number): VisitDraft => ({
      tires: Object.fromEntries(
        (['lf', 'rf', 'lr', 'rr'] as const).map((wheel) => [
          wheel,
          { newDepth: 8, distance: km, stations: [{ inner: mm, centre: mm, outer: mm }] },
        ]),
      ),
      visit: { odometer },
    });
    const past = (
      n: number,
      of: VisitDraft,
      action: 'align' | 'fitOnly',
      answer: 'yes' | 'no',
    ) => ({
      arrivedAt: `2026-0${n}-01T09:00:00.000Z`,
      draft: of,
      decision: { action, answer, replace: n === 1 ? (['lf', 'rf'] as const) : [] },
    });
    const others = [
      past(8, draft(40_000, 60_000, 4), 'align', 'yes'),
      past(3, draft(10_000, 30_000, 7), 'align', 'yes'),
      past(1, draft(30_000, 20_000, 3), 'fitOnly', 'yes'),
    ];
    const { file } = draftToCase(
      draft(20_000, 40_000, 6),
      '',
      {},
      {
        arrivedAt: '2026-05-01T09:00:00.000Z',
        others,
      },
    );
    // The later visit is none of this one's past; the first had other tires.
    expect(file.history?.earlier).toEqual([
      {
        ago: 10_000,
        tires: Object.fromEntries(
          (['lf', 'rf', 'lr', 'rr'] as const).map((wheel) => [
            wheel,
            { stations: [{ inner: 7, centre: 7, outer: 7 }] },
          ]),
        ),
        putRight: ['angles', 'pressures'],
      },
    ]);
    expect(parseCaseFile(file).ok).toBe(true);
    expect(draftToCase(draft(20_000, 40_000, 6), '').file.history).toBeUndefined();
  });
});
