import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { floorSlope } from './floorSlope.ts';

const RAD = Math.PI / 180;

describe('floorSlope', () => {
  it('is a sixteenth of an inch over a 60 in track for six hundredths of a degree, by hand', () => {
    const found = floorSlope({ over: 60, unit: 'in', rise: 1 / 16, high: 'left' });
    // 0.0625 / 60 = 0.0010417 rad.
    expect(found.degrees).toBeCloseTo(0.0597, 4);
    expect(found).toMatchObject({ high: 'left', tile: 1 / 16, levelError: null });
  });

  it('takes the level’s own error out by turning it end for end', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -5, max: 5, noNaN: true }),
        fc.double({ min: -2, max: 2, noNaN: true }),
        (slope, error) => {
          const found = floorSlope({
            over: 1_500,
            unit: 'mm',
            first: slope + error,
            turned: error - slope,
          });
          expect(found.degrees).toBeCloseTo(Math.abs(slope), 9);
          expect(found.levelError).toBeCloseTo(error, 9);
          if (slope > 1e-9) expect(found.high).toBe('left');
          if (slope < -1e-9) expect(found.high).toBe('right');
          expect(found.tile).toBeCloseTo(1_500 * Math.tan(Math.abs(slope) * RAD), 9);
        },
      ),
    );
  });
});
