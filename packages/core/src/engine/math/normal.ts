import { exp } from './elementary.ts';

const LOG_SQRT_2PI = 0.9189385332046727;

/**
 * Chance that a standard normal value lies below z.
 * @param z - standard deviations
 * Source: Abramowitz and Stegun, Handbook of Mathematical Functions, 26.2.17; error below 7.5e-8.
 * @example normalCdf(1.959964).toFixed(4) // '0.9750'
 */
export function normalCdf(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const poly =
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  const tail = exp(-0.5 * z * z - LOG_SQRT_2PI) * poly;
  return z >= 0 ? 1 - tail : tail;
}
