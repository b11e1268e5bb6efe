import jstat from 'jstat';
import { describe, expect, it } from 'vitest';
import { meanOver, tValue } from './interval.ts';

describe('tValue', () => {
  it('is the printed one, two-sided 95 %', () => {
    // NIST/SEMATECH e-Handbook 1.3.6.7.2.
    expect([1, 5, 9, 29, 100].map((degrees) => tValue(degrees).toFixed(3))).toEqual([
      '12.706',
      '2.571',
      '2.262',
      '2.045',
      '1.984',
    ]);
  });

  it('agrees with a statistics package', () => {
    for (const degrees of [2, 7, 33, 400]) {
      expect(tValue(degrees)).toBeCloseTo(jstat.studentt.inv(0.975, degrees), 6);
    }
  });
});

describe('meanOver', () => {
  it('is the interval of the mean', () => {
    // NIST/SEMATECH e-Handbook 1.3.5.2: ZARR13.DAT has n = 195, mean 9.261460, sd 0.022789; 9.258242 to 9.264679.
    const half = (tValue(194) * 0.022789) / Math.sqrt(195);
    expect(9.26146 - half).toBeCloseTo(9.258242, 5);
    const { mean, interval } = meanOver([1, 2, 3, 4]);
    expect(mean).toBe(2.5);
    expect(interval!.high - interval!.low).toBeCloseTo((2 * tValue(3) * Math.sqrt(5 / 3)) / 2, 10);
  });

  it('is sure of nothing from one value', () => {
    expect(meanOver([3])).toEqual({ mean: 3, interval: null });
    expect(meanOver([])).toEqual({ mean: 0, interval: null });
  });
});
