import type { Visit } from '@keen/contract';
import { log } from '../engine/math/elementary.ts';
import { normalCdf } from '../engine/math/normal.ts';
import type { Span } from '../engine/outlook/depthCurves.ts';
import { USUAL_KM_A_YEAR } from '../visit/distanceRun.ts';

/** A car whose tires have been looked at, and how far it goes in a year. */
export interface RunningCar {
  /** When the tread was read, ISO date and time. */
  readAt: string;
  /** What the tires run from then until the first rib is at the limit, km, with its 80 % interval. */
  lifeKm: Span;
  kmPerYear: number;
}

/** Days by which new tires are needed, year-month-day: eight times in ten between early and late. */
export interface NeededBy {
  early: string;
  likely: string;
  late: string;
}

/** Cars that come to need tires in a month. */
export interface MonthNeeds {
  /** Year and month. */
  month: string;
  /** Expected number of cars. */
  mean: number;
  /** Eight times in ten between these. */
  low: number;
  high: number;
}

const MS_A_DAY = 86_400_000;
const DAYS_A_YEAR = 365.25;
/** Half of the 80 % interval of a normal, in standard deviations. */
const HALF_80 = 1.2815515655446004;
/** How much a year's distance differs from another's, relative (common practice, no source). */
const YEAR_SD = 0.15;
/** Tires with less than this left are due now, km. */
const DUE_NOW_KM = 100;
/** Odometer readings nearer to each other than this say little of a year, days. */
const LEAST_DAYS = 60;

/**
 * How far a car goes in a year: by its odometer at its visits, as the customer said, or what is usual.
 * @param visits - of one car, in any order
 * @returns km
 * @example kmPerYear([]) // 15000
 */
export function kmPerYear(visits: readonly Pick<Visit, 'arrivedAt' | 'draft'>[]): number {
  const read = visits
    .flatMap(({ arrivedAt, draft }) => {
      const km = draft.visit?.odometer;
      return km === undefined ? [] : [{ at: Date.parse(arrivedAt), km }];
    })
    .toSorted((a, b) => a.at - b.at);
  const [first, last] = [read[0], read.at(-1)];
  if (first && last) {
    const days = (last.at - first.at) / MS_A_DAY;
    if (days >= LEAST_DAYS && last.km > first.km)
      return ((last.km - first.km) / days) * DAYS_A_YEAR;
  }
  const said = visits
    .toSorted((a, b) => Date.parse(b.arrivedAt) - Date.parse(a.arrivedAt))
    .map(({ draft }) => draft.visit?.handOver?.kmPerYear)
    .find((km) => km !== undefined);
  return said ?? USUAL_KM_A_YEAR;
}

/** When a car's tires are needed, never before today. @param today - year-month-day */
export function neededBy(
  { readAt, lifeKm, kmPerYear: yearly }: RunningCar,
  today: string,
): NeededBy {
  const dayAt = (km: number) => {
    const at = Date.parse(readAt) + (km / yearly) * DAYS_A_YEAR * MS_A_DAY;
    const day = new Date(at).toISOString().slice(0, 10);
    return day < today ? today : day;
  };
  return { early: dayAt(lifeKm.low), likely: dayAt(lifeKm.median), late: dayAt(lifeKm.high) };
}

/** Chance that a car's tires have come to their limit by a day, ms since 1970. */
function chanceBy({ readAt, lifeKm, kmPerYear: yearly }: RunningCar, at: number): number {
  if (lifeKm.median <= DUE_NOW_KM) return 1;
  const km = ((at - Date.parse(readAt)) / MS_A_DAY / DAYS_A_YEAR) * yearly;
  if (km <= 0) return 0;
  const low = Math.max(DUE_NOW_KM, lifeKm.low);
  const sd = Math.hypot(log(Math.max(low * 1.02, lifeKm.high) / low) / (2 * HALF_80), YEAR_SD);
  return normalCdf(log(km / lifeKm.median) / sd);
}

/**
 * How many cars of a fleet come to need tires month by month. What is due by now counts in the first month.
 * The number is a sum of independent chances, whose distribution is worked out exactly, one car at a time.
 * @param today - year-month-day
 * @param months - how many, this month included
 */
export function needsByMonth(
  cars: readonly RunningCar[],
  today: string,
  months: number,
): MonthNeeds[] {
  const [year, month] = today.split('-').map(Number) as [number, number];
  return Array.from({ length: months }, (_, i) => {
    const start = i === 0 ? 0 : Date.UTC(year, month - 1 + i, 1);
    const end = Date.UTC(year, month + i, 1);
    const chances = cars.map((car) =>
      Math.max(0, chanceBy(car, end) - (i === 0 ? 0 : chanceBy(car, start))),
    );
    return {
      month: new Date(Date.UTC(year, month - 1 + i, 1)).toISOString().slice(0, 7),
      ...howMany(chances),
    };
  });
}

/** Cars of one tire size that come to need tires. */
export interface SizeNeeds {
  size: string;
  /** Cars of that size in all. */
  cars: number;
  /** Expected number. */
  mean: number;
  /** Eight times in ten between these. */
  low: number;
  high: number;
}

/**
 * For how many cars tires of each size are needed by the end of some months: what to have on the shelf.
 * @param cars - each with the sizes it wears; a car of two sizes counts for both
 * @param today - year-month-day
 * @param months - how many, this month included
 * @returns what most are expected of first
 */
export function needsBySize(
  cars: readonly { sizes: readonly string[]; running: RunningCar }[],
  today: string,
  months: number,
): SizeNeeds[] {
  const [year, month] = today.split('-').map(Number) as [number, number];
  const end = Date.UTC(year, month - 1 + months, 1);
  const sizes = [...new Set(cars.flatMap((car) => car.sizes))];
  return sizes
    .map((size) => {
      const own = cars.filter((car) => car.sizes.includes(size));
      const needs = howMany(own.map(({ running }) => chanceBy(running, end)));
      return { size, cars: own.length, ...needs };
    })
    .toSorted((a, b) => b.mean - a.mean || a.size.localeCompare(b.size));
}

/** The number of independent chances that come true: its mean, and between what it is eight times in ten. */
function howMany(chances: readonly number[]): { mean: number; low: number; high: number } {
  let counts = [1];
  for (const chance of chances) {
    counts = Array.from(
      { length: counts.length + 1 },
      (_none, n) => (counts[n] ?? 0) * (1 - chance) + (counts[n - 1] ?? 0) * chance,
    );
  }
  const quantile = (part: number) => {
    let sum = 0;
    for (const [n, share] of counts.entries()) {
      sum += share;
      if (sum >= part - 1e-12) return n;
    }
    return counts.length - 1;
  };
  return {
    mean: chances.reduce((sum, chance) => sum + chance, 0),
    low: quantile(0.1),
    high: quantile(0.9),
  };
}
