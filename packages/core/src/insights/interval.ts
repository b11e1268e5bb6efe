import { fTail } from '../gauges/fTail.ts';

/** A figure with its 95 % interval. */
export interface Interval {
  mean: number;
  low: number;
  high: number;
}

/** A mean with its 95 % interval; null where there are too few to have one. */
export interface Mean {
  mean: number;
  interval: { low: number; high: number } | null;
}

const OUTSIDE = 0.05;
const HALVINGS = 60;

/**
 * The mean of something over cases that have nothing to do with one another.
 * @param values - of fewer than two nothing is sure
 * Source: Student 1908, Biometrika 6; NIST/SEMATECH e-Handbook 1.3.5.2.
 */
export function meanOver(values: readonly number[]): Mean {
  const n = values.length;
  const mean = values.reduce((sum, value) => sum + value, 0) / Math.max(1, n);
  if (n < 2) return { mean, interval: null };
  const squares = values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  const half = tValue(n - 1) * Math.sqrt(squares / (n - 1) / n);
  return { mean, interval: { low: mean - half, high: mean + half } };
}

/**
 * How many standard errors hold a mean in 95 cases of 100.
 * @param degrees - of freedom, 1 or more
 */
export function tValue(degrees: number): number {
  // The square of a t is an F with one degree of freedom above.
  let [low, high] = [0, 200];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (fTail(middle * middle, 1, degrees) > OUTSIDE) low = middle;
    else high = middle;
  }
  return high;
}
