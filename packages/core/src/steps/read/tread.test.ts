import type { TreadPass, TreadProfile } from '@keen/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ENGLISH_SCREENS } from '../../../tests/englishScreens.ts';
import { createRandom } from '../../engine/random/random.ts';
import { passReadings } from './passReadings.ts';
import { PASSING, passFaults } from './passVerdict.ts';
import { findGrooves, levelProfile, profileDepths } from './profileDepths.ts';
import { readProfileTable } from './profileTable.ts';

const GROOVES = [-0.66, -0.22, 0.22, 0.66];

/** A tread with grooves of the given depths, tilted and shifted as a reader may see it. */
function cut(
  depths: readonly number[],
  { tilt = 0, zero = 0, points = 61, noise = 0, seed = 1 } = {},
): TreadProfile {
  const random = createRandom(seed);
  const heights = Array.from({ length: points }, (_, i) => {
    const y = (2 * i) / (points - 1) - 1;
    const groove = GROOVES.findIndex((at) => Math.abs(y - at) < 0.07);
    const depth = groove < 0 ? 0 : depths[groove]!;
    return zero + tilt * y - depth + noise * random.normal();
  });
  return { along: 0, heights };
}

describe('the grooves of a profile', () => {
  it('finds each with its depth, whatever the zero and the tilt of the reader', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.8, max: 12, noNaN: true }), { minLength: 4, maxLength: 4 }),
        fc.double({ min: -2, max: 2, noNaN: true }),
        fc.double({ min: -50, max: 50, noNaN: true }),
        fc.integer({ min: 49, max: 200 }),
        (depths, tilt, zero, points) => {
          const found = findGrooves(cut(depths, { tilt, zero, points }).heights);
          expect(found).toHaveLength(4);
          found.forEach(({ at, depthMm }, i) => {
            expect(Math.abs(at - GROOVES[i]!)).toBeLessThan(0.05);
            // The tilt between groove and its two shoulders cancels but for the spacing of points.
            expect(Math.abs(depthMm - depths[i]!)).toBeLessThan(0.15);
          });
        },
      ),
    );
  });

  it('keeps within a tenth of a millimetre under noise, also with the fewest points allowed', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const read = profileDepths(cut([3, 5, 5, 6], { noise: 0.04, seed, tilt: 1, points: 25 }));
      expect(Math.abs(read.inner! - 3)).toBeLessThan(0.2);
      expect(Math.abs(read.centre! - 5)).toBeLessThan(0.2);
      expect(Math.abs(read.outer! - 6)).toBeLessThan(0.2);
    }
  });

  it('finds none on a bald third, and says so instead of a number', () => {
    const read = profileDepths(cut([0, 4, 4, 5], { noise: 0.02 }));
    expect(read.inner).toBeNull();
    expect(read.outer).toBeCloseTo(5, 1);
    expect(findGrooves(Array.from({ length: 30 }, () => 4))).toEqual([]);
  });

  it('is mirrored when the tread is', () => {
    const one = profileDepths(cut([2, 4, 5, 7]));
    const { heights } = cut([2, 4, 5, 7]);
    const other = profileDepths({ along: 0, heights: heights.toReversed() });
    expect(other.inner).toBeCloseTo(one.outer!, 9);
    expect(other.outer).toBeCloseTo(one.inner!, 9);
    expect(other.centre).toBeCloseTo(one.centre!, 9);
  });

  it('is drawn standing on its grooves, whose floor wear does not touch', () => {
    // Rubber 3 mm high at the inner edge and 6 at the outer one, over a flat floor, seen tilted.
    const worn = Array.from({ length: 61 }, (_, i) => {
      const y = i / 30 - 1;
      const isGroove = GROOVES.some((at) => Math.abs(y - at) < 0.07);
      return 30 + 4 * y + (isGroove ? 0 : 4.5 + 1.5 * y);
    });
    const level = levelProfile(worn);
    expect(level[0]).toBeCloseTo(3, 6);
    expect(level[60]).toBeCloseTo(6, 6);
    expect(Math.min(...level)).toBeCloseTo(0, 6);
    expect(Math.min(...levelProfile([...worn.slice(0, 2), ...worn.slice(0, 2)]))).toBe(0);
  });
});

describe('a pass', () => {
  const pass = (profiles: TreadProfile[]): TreadPass => ({
    format: 'keen-groove/tread-pass',
    version: 1,
    takenAt: '2026-03-01T09:00:00.000Z',
    source: 'test',
    tires: { lf: { profiles } },
  });

  it('lays its cuts together into six places at most, in the order along the tread', () => {
    const cuts = Array.from({ length: 12 }, (_, i) => ({
      ...cut([3 + i / 10, 5, 5, 6]),
      along: i * 50,
    }));
    const places = passReadings(pass(cuts.toReversed())).lf!;
    expect(places).toHaveLength(6);
    expect(places[0]!.inner).toBeCloseTo(3.05, 1);
    expect(places[5]!.inner).toBeCloseTo(4.05, 1);
    expect(passReadings(pass(cuts.slice(0, 2))).lf).toHaveLength(2);
    expect(passReadings(pass(cuts)).rf).toBeUndefined();
  });

  it('counts only when slow, square and straight', () => {
    const straight = { speed: 8, skew: 0, steer: 0 };
    expect(passFaults(straight)).toEqual([]);
    expect(passFaults(undefined)).toEqual([]);
    expect(passFaults({ ...straight, speed: PASSING.slowestKmh })).toEqual([]);
    expect(passFaults({ ...straight, speed: PASSING.fastestKmh })).toEqual([]);
    expect(passFaults({ ...straight, speed: 2.9 })).toEqual(['tooSlow']);
    expect(passFaults({ ...straight, speed: 13.1 })).toEqual(['tooFast']);
    expect(passFaults({ speed: 20, skew: -9, steer: 12 })).toEqual([
      'tooFast',
      'crooked',
      'turning',
    ]);
  });
});

describe('profiles as a table', () => {
  const AT = '2026-03-01T09:00:00.000Z';
  const heights = cut([3, 4, 4, 5]).heights.map(String);

  it('takes the cuts of each wheel, decimal commas too', () => {
    const { pass, faults } = readProfileTable(
      [
        ['Wheel', 'along', ...heights.map((_, i) => `h${i}`)],
        ['LF', '0', ...heights],
        ['lf', '55,5', ...heights.map((height) => height.replace('.', ','))],
        ['rr', '0', ...heights, '', ''],
        [''],
      ],
      AT,
      ENGLISH_SCREENS.tables,
    );
    expect(faults).toEqual([]);
    expect(pass?.tires.lf?.profiles.map(({ along }) => along)).toEqual([0, 55.5]);
    expect(pass?.tires.rr?.profiles[0]!.heights).toHaveLength(heights.length);
    expect(passReadings(pass!).rr![0]!.outer).toBeCloseTo(5, 1);
  });

  it('says what is wrong line by line and keeps the rest', () => {
    const { pass, faults } = readProfileTable(
      [
        ['wheel', 'along'],
        ['xx', '0', ...heights],
        ['lf', 'far', ...heights],
        ['lf', '0', ...heights.with(4, 'deep')],
        ['lf', '0', ...heights.slice(0, 24)],
        ['lf', '10', ...heights],
      ],
      AT,
      ENGLISH_SCREENS.tables,
    );
    expect(faults.map(({ line }) => line)).toEqual([2, 3, 4, 5]);
    expect(faults[2]!.expected).toMatch(/column 7/);
    expect(pass?.tires.lf?.profiles).toHaveLength(1);
    expect(readProfileTable([['car'], ['x']], AT, ENGLISH_SCREENS.tables).pass).toBeNull();
    expect(readProfileTable([['wheel', 'along']], AT, ENGLISH_SCREENS.tables).pass).toBeNull();
  });
});
