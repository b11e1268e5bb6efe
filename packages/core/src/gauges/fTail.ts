import { exp, log } from '../engine/math/elementary.ts';

/** Coefficients of Lanczos's approximation with g = 5, to 2e-10 (Lanczos 1964; Numerical Recipes 6.1). */
const LANCZOS = [
  76.1800917294715, -86.5053203294168, 24.01409824083091, -1.23173957245016, 0.00120865097386618,
  -0.000005395239384953,
];
const SQRT_2PI = 2.5066282746310002;
const MOST_STEPS = 300;
const TINY = 1e-300;
const CLOSE = 1e-14;

/**
 * The chance that an F statistic is this large or larger where nothing but chance is at work.
 * @param f - ratio of two mean squares, 0 or more
 * @param over - degrees of freedom of the upper one
 * @param under - of the lower one
 * Source: NIST Digital Library of Mathematical Functions, 8.17.22 (incomplete beta by continued fraction);
 * Abramowitz and Stegun 26.6.2.
 */
export function fTail(f: number, over: number, under: number): number {
  return incompleteBeta(under / (under + over * f), under / 2, over / 2);
}

/** Regularized incomplete beta function. */
function incompleteBeta(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  // The fraction converges fast on this side only.
  if (x > (a + 1) / (a + b + 2)) return 1 - incompleteBeta(1 - x, b, a);
  const front = exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * log(x) + b * log(1 - x));
  return (front / a) * betaFraction(x, a, b);
}

function betaFraction(x: number, a: number, b: number): number {
  const notZero = (value: number) => (Math.abs(value) < TINY ? TINY : value);
  let c = 1;
  let d = 1 / notZero(1 - ((a + b) * x) / (a + 1));
  let result = d;
  for (let m = 1; m <= MOST_STEPS; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / notZero(1 + even * d);
    c = notZero(1 + even / c);
    result *= d * c;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / notZero(1 + odd * d);
    c = notZero(1 + odd / c);
    result *= d * c;
    if (Math.abs(d * c - 1) < CLOSE) break;
  }
  return result;
}

function logGamma(x: number): number {
  const base = x + 5.5;
  const sum = LANCZOS.reduce((total, each, i) => total + each / (x + 1 + i), 1.000000000190015);
  return (x + 0.5) * log(base) - base + log((SQRT_2PI * sum) / x);
}
