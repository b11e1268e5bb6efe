import { describe, expect, it } from 'vitest';
import * as fc from 'fast-check';
import {
  aboutDistance,
  depthFromMm,
  depthToMm,
  distanceToKm,
  distanceFromKm,
  pressureFromKpa,
  pressureToKpa,
} from './units.ts';

/** Conversions are one multiplication: only rounding of doubles may differ. */
const RELATIVE = 1e-12;

describe('units', () => {
  it.each([
    // Derived from the exact inch (international yard and pound agreement, 1959).
    [1, 0.79375],
    [2, 1.5875],
    [3, 2.38125],
    [4, 3.175],
    [5, 3.96875],
    [6, 4.7625],
    [8, 6.35],
    [10, 7.9375],
  ])('makes %d/32 in %d mm', (in32, mm) => {
    expect(Math.abs(depthToMm(in32, 'in32') / mm - 1)).toBeLessThan(RELATIVE);
  });

  it('keeps the two legal limits apart: 1.6 mm is not 2/32 in', () => {
    expect(depthFromMm(1.6, 'in32')).toBeCloseTo(2.016, 3);
  });

  it('makes the mile 1.609344 km and the bar 100 kPa, exactly by definition', () => {
    expect(distanceToKm(1, 'mi')).toBe(1.609344);
    expect(pressureToKpa(1, 'bar')).toBe(100);
  });

  it('stays within a ten-millionth of lbf/in2 from pound, gravity and inch', () => {
    // 0.45359237 kg x 9.80665 m/s2 / (0.0254 m)^2: exact by definition.
    const exact = (0.45359237 * 9.80665) / 0.0254 ** 2 / 1000;
    expect(Math.abs(pressureToKpa(1, 'psi') / exact - 1)).toBeLessThan(1e-7);
  });

  it('comes back from every unit', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 1e6, noNaN: true }), (value) => {
        const round = [
          depthFromMm(depthToMm(value, 'in32'), 'in32'),
          distanceFromKm(distanceToKm(value, 'mi'), 'mi'),
          pressureFromKpa(pressureToKpa(value, 'psi'), 'psi'),
          pressureFromKpa(pressureToKpa(value, 'bar'), 'bar'),
        ];
        for (const back of round) expect(Math.abs(back / value - 1)).toBeLessThan(RELATIVE);
      }),
    );
  });
});

it('says a distance of custom as people say it in their unit', () => {
  expect(aboutDistance(8_000, 'km')).toBe(8_000);
  expect(aboutDistance(8_000, 'mi')).toBe(5_000);
  expect(aboutDistance(100, 'mi')).toBe(60);
});
