import { describe, expect, it } from 'vitest';
import { exp, log } from './elementary.ts';

/** Units in the last place between two doubles of one sign. */
function unitsApart(a: number, b: number): number {
  const view = new DataView(new ArrayBuffer(16));
  view.setFloat64(0, a);
  view.setFloat64(8, b);
  return Number(view.getBigInt64(0) - view.getBigInt64(8));
}

/** Evenly spread over [low, high], with an irrational step so that no point is special. */
function points(low: number, high: number, count: number): number[] {
  return Array.from(
    { length: count },
    (_, i) => low + (high - low) * ((i * 0.6180339887498949) % 1),
  );
}

describe('exp and log', () => {
  // Reference: the built-in functions of this engine, themselves within one unit in the last place.
  it('stand at most two units in the last place from the built-in exponential', () => {
    for (const x of [...points(-700, 700, 20_000), ...points(-1, 1, 20_000), 0, 1e-300, -1e-18]) {
      expect(Math.abs(unitsApart(exp(x), Math.exp(x)))).toBeLessThanOrEqual(2);
    }
  });

  it('stand at most two units in the last place from the built-in logarithm', () => {
    for (const x of points(-700, 700, 20_000).map((power) => Math.exp(power))) {
      expect(Math.abs(unitsApart(log(x), Math.log(x)))).toBeLessThanOrEqual(2);
    }
    for (const x of [...points(0.5, 2, 20_000), 5e-324, 1e-310, Number.MAX_VALUE]) {
      expect(Math.abs(unitsApart(log(x), Math.log(x)))).toBeLessThanOrEqual(2);
    }
  });

  it('give the values of the handbook', () => {
    // Abramowitz and Stegun, Handbook of Mathematical Functions, table 1.1: e, ln 2, ln 10.
    expect(exp(1)).toBeCloseTo(2.718281828459045, 14);
    expect(log(2)).toBeCloseTo(0.6931471805599453, 15);
    expect(log(10)).toBeCloseTo(2.302585092994046, 15);
  });

  it('end where the numbers end', () => {
    expect(exp(0)).toBe(1);
    expect(exp(1000)).toBe(Infinity);
    expect(exp(-1000)).toBe(0);
    expect(exp(Number.NaN)).toBeNaN();
    expect(log(1)).toBe(0);
    expect(log(0)).toBe(-Infinity);
    expect(log(-1)).toBeNaN();
    expect(log(Infinity)).toBe(Infinity);
  });
});
