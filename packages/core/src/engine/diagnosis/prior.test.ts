import { describe, expect, it } from 'vitest';
import { normalCdf } from '../math/normal.ts';
import { bouncePatterns, camberPatterns, pressurePatterns } from './faultPatterns.ts';

const total = (table: Float64Array) => table.reduce((sum, chance) => sum + chance, 0);

describe('fault patterns', () => {
  it('are chances that add up to one', () => {
    for (const table of [
      camberPatterns({ camberNegative: [2 / 3, 2 / 3] }),
      pressurePatterns(),
      bouncePatterns(),
    ]) {
      expect(total(table)).toBeCloseTo(1, 12);
      expect(Math.min(...table)).toBeGreaterThanOrEqual(0);
      expect(table[0]).toBe(0);
    }
  });

  it('put camber negative in two of three and on one wheel in four of ten', () => {
    const table = camberPatterns({ camberNegative: [2 / 3, 2 / 3] });
    const singles = [1, 2, 3, 6, 9, 18, 27, 54];
    expect(singles.reduce((sum, code) => sum + table[code]!, 0)).toBeCloseTo(0.4, 12);
    expect(table[1]! / table[2]!).toBeCloseTo(2, 12);
  });

  it('put all four pressures out together in a third', () => {
    const table = pressurePatterns();
    const low = 1 + 3 + 9 + 27;
    expect(table[low]! + table[2 * low]!).toBeCloseTo(1 / 3, 12);
  });
});

describe('normalCdf', () => {
  // Abramowitz and Stegun, Handbook of Mathematical Functions, table 26.1.
  it.each([
    [0, 0.5],
    [1, 0.84134475],
    [1.96, 0.9750021],
    [-2.5, 0.00620967],
  ])('is as tabulated at %d', (z, p) => {
    expect(Math.abs(normalCdf(z) - p)).toBeLessThan(1e-7);
  });
});
