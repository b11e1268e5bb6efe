import { describe, expect, it } from 'vitest';
import { eigenOf } from './smallMatrix.ts';

describe('eigenOf', () => {
  it('finds the values and vectors of a matrix worked by hand', () => {
    // Strang, Linear Algebra: the second differences of three points, 2 and 2 -+ the root of two.
    const matrix = [
      [2, -1, 0],
      [-1, 2, -1],
      [0, -1, 2],
    ];
    const { values, vectors } = eigenOf(matrix);
    expect(values.toSorted((a, b) => a - b)).toEqual([
      expect.closeTo(2 - Math.SQRT2, 12),
      expect.closeTo(2, 12),
      expect.closeTo(2 + Math.SQRT2, 12),
    ]);
    values.forEach((value, k) => {
      matrix.forEach((row, i) => {
        const times = row.reduce((sum, entry, j) => sum + entry * vectors[j]![k]!, 0);
        expect(times).toBeCloseTo(value * vectors[i]![k]!, 12);
      });
    });
  });

  it('leaves a diagonal as it is', () => {
    expect(
      eigenOf([
        [3, 0],
        [0, -1],
      ]).values,
    ).toEqual([3, -1]);
  });
});
