import { describe, expect, it } from 'vitest';
import { createRandom } from '../engine/random/random.ts';
import { kmPerYear, neededBy, needsByMonth, needsBySize } from './fleetNeeds.ts';
import type { RunningCar } from './fleetNeeds.ts';

const TODAY = '2026-01-15';
const car = (median: number, change: Partial<RunningCar> = {}): RunningCar => ({
  readAt: '2026-01-15T09:00:00.000Z',
  lifeKm: { low: median * 0.8, median, high: median * 1.25 },
  kmPerYear: 12_000,
  ...change,
});

describe('when a fleet needs tires', () => {
  it('goes by what is left and how far the car goes', () => {
    // Worked by hand: 12,000 km left at 12,000 km a year is a year; 0.8 and 1.25 of it.
    expect(neededBy(car(12_000), TODAY)).toEqual({
      early: '2026-11-03',
      likely: '2027-01-15',
      late: '2027-04-16',
    });
    // Never before today, whenever it was read.
    const old = car(1_000, { readAt: '2025-01-15T09:00:00.000Z' });
    expect(neededBy(old, TODAY).likely).toBe(TODAY);
  });

  it('adds up to the cars, what is due by now in the first month', () => {
    const cars = [car(50), car(3_000), car(6_000), car(9_000)];
    const needs = needsByMonth(cars, TODAY, 36);
    expect(needs[0]!.month).toBe('2026-01');
    expect(needs.at(-1)!.month).toBe('2028-12');
    expect(needs[0]!.mean).toBeGreaterThanOrEqual(1);
    expect(needs.reduce((sum, { mean }) => sum + mean, 0)).toBeCloseTo(4, 2);
    for (const { mean, low, high } of needs) {
      expect(low).toBeLessThanOrEqual(high);
      expect(high + 1).toBeGreaterThan(mean);
    }
  });

  it('by size says for how many cars, as the months add up to', () => {
    const runs = [car(50), car(1_500), car(3_000), car(9_000)];
    const cars = runs.map((running) => ({ sizes: ['205/65R16'], running }));
    const [one, ...none] = needsBySize(cars, TODAY, 3);
    const months = needsByMonth(runs, TODAY, 3);
    expect(one!.mean).toBeCloseTo(
      months.reduce((sum, { mean }) => sum + mean, 0),
      9,
    );
    expect(one).toMatchObject({ size: '205/65R16', cars: 4 });
    expect(none).toEqual([]);
    expect(one!.low).toBeGreaterThanOrEqual(1);
    expect(one!.high).toBeLessThanOrEqual(4);
  });

  it('by size counts a car of two sizes for both, what most need first', () => {
    const needs = needsBySize(
      [
        { sizes: ['A', 'B'], running: car(50) },
        { sizes: ['B'], running: car(50) },
        { sizes: ['C'], running: car(60_000) },
      ],
      TODAY,
      3,
    );
    expect(needs.map(({ size, cars, low, high }) => [size, cars, low, high])).toEqual([
      ['B', 2, 2, 2],
      ['A', 1, 1, 1],
      ['C', 1, 0, 0],
    ]);
  });

  it('gives the interval that many drawn fleets give', () => {
    const cars = Array.from({ length: 12 }, (_, i) => car(4_000 + 400 * i));
    const random = createRandom(5);
    const sd = Math.hypot(Math.log(1.25 / 0.8) / (2 * 1.2815515655446004), 0.15);
    const month = (life: number) =>
      Math.max(
        0,
        Math.floor(
          (Date.parse('2026-01-15T09:00:00Z') +
            (life / 12_000) * 365.25 * 86_400_000 -
            Date.UTC(2026, 0, 1)) /
            (30.4375 * 86_400_000),
        ),
      );
    const draws = Array.from(
      { length: 4_000 },
      () =>
        cars.filter(({ lifeKm }) => month(lifeKm.median * Math.exp(sd * random.normal())) === 6)
          .length,
    ).toSorted((a, b) => a - b);
    const july = needsByMonth(cars, TODAY, 12)[6]!;
    const mean = draws.reduce((sum, n) => sum + n, 0) / draws.length;
    expect(july.mean).toBeCloseTo(mean, 0);
    expect(Math.abs(july.low - draws[400]!)).toBeLessThanOrEqual(1);
    expect(Math.abs(july.high - draws[3_600]!)).toBeLessThanOrEqual(1);
  });

  it('takes the year from the odometer, from what was said, or the usual', () => {
    const visit = (arrivedAt: string, odometer?: number, yearly?: number) => ({
      arrivedAt,
      draft: {
        visit: {
          ...(odometer === undefined ? {} : { odometer }),
          ...(yearly === undefined ? {} : { handOver: { kmPerYear: yearly } }),
        },
      },
    });
    expect(
      kmPerYear([visit('2026-01-01T00:00:00Z', 50_000), visit('2025-01-01T00:00:00Z', 30_000)]),
    ).toBeCloseTo((20_000 / 365) * 365.25, 6);
    // Two readings in a month say little of a year.
    expect(
      kmPerYear([
        visit('2026-01-01T00:00:00Z', 50_000, 22_000),
        visit('2025-12-20T00:00:00Z', 49_000),
      ]),
    ).toBe(22_000);
    expect(kmPerYear([])).toBe(15_000);
  });
});
