import { describe, expect, it } from 'vitest';
import { exampleCase } from '../../../tests/exampleCase.ts';
import { resolveCase } from '../case/resolveCase.ts';
import { READING_SD_MM, ROUNDING_MM } from '../case/treadFacts.ts';
import { readingVariances, scatterLog, tireReadings } from './tireReadings.ts';

describe('tireReadings', () => {
  it('means over the places read and keeps their scatter', () => {
    const file = exampleCase();
    file.tires.lf.stations = [
      { inner: 5, centre: 4, outer: null },
      { inner: 5.4, centre: null, outer: null },
    ];
    const readings = tireReadings(resolveCase(file).tires.lf);
    expect(readings.lossMm[0]).toBeCloseTo(2.8, 12);
    expect(readings.lossMm[1]).toBe(4);
    expect(readings.lossMm[2]).toBeNaN();
    expect(readings.count).toEqual([2, 1, 0]);
    expect(readings.scatterMm2).toBeCloseTo(0.08, 12);
    expect(readings.scatterFreedom).toBe(1);
  });
});

const BY_TENTHS = { sdMm: READING_SD_MM, roundingMm: ROUNDING_MM.mm };
const IN_32NDS = { sdMm: READING_SD_MM, roundingMm: ROUNDING_MM.in32 };

describe('readingVariances', () => {
  it('goes by the spread that the case says its readings have', () => {
    const varianceOf = (readingSpread?: number) => {
      const { tires, reading } = resolveCase({
        ...exampleCase(),
        ...(readingSpread ? { readingSpread } : {}),
      });
      return readingVariances(tireReadings(tires.lf), reading)[0]!;
    };
    expect(varianceOf(READING_SD_MM)).toBe(varianceOf());
    expect(varianceOf(0.4) - varianceOf()).toBeCloseTo(0.4 ** 2 - READING_SD_MM ** 2, 9);
    expect(
      resolveCase({
        ...exampleCase(),
        units: { ...exampleCase().units, depth: 'in32' },
        readingSpread: 0.5,
      }).reading,
    ).toEqual({ sdMm: 0.5 * 0.79375, roundingMm: 0.79375 });
  });

  it('lets more places tell more, but never beyond the rounding', () => {
    const at = (places: number) => {
      const file = exampleCase();
      file.tires.lf.stations = Array.from({ length: places }, () => ({
        inner: 5,
        centre: 5,
        outer: null,
      }));
      return readingVariances(tireReadings(resolveCase(file).tires.lf), IN_32NDS);
    };
    expect(at(4)[0]).toBeLessThan(at(1)[0]!);
    expect(at(6)[0]).toBeGreaterThan(0.79375 ** 2 / 12);
    expect(at(1)[2]).toBe(0);
  });
});

describe('scatterLog', () => {
  const told = (second: number) => {
    const file = exampleCase();
    file.tires.lf.stations = [5, second, 5, second].map((mm) => ({
      inner: mm,
      centre: mm,
      outer: mm,
    }));
    const readings = tireReadings(resolveCase(file).tires.lf);
    return scatterLog(readings, BY_TENTHS, true) - scatterLog(readings, BY_TENTHS, false);
  };

  it('takes unevenness round the tire as a sign of bounce, evenness as one against it', () => {
    expect(told(3.8)).toBeGreaterThan(1);
    expect(told(5)).toBeLessThan(-1);
  });

  it('says nothing where every rib was read at one place', () => {
    const readings = tireReadings(resolveCase(exampleCase()).tires.lf);
    expect(scatterLog(readings, BY_TENTHS, true)).toBe(0);
    expect(scatterLog(readings, BY_TENTHS, false)).toBe(0);
  });
});
