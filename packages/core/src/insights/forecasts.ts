import type { Forecast, VisitDraft } from '@keen/contract';
import type { Rib, Wheel } from '@keen/contract/words';
import { RIBS } from '@keen/contract/words';
import { READING_SD_MM, readingVariance, ROUNDING_MM } from '../engine/case/treadFacts.ts';
import { WHEEL_ORDER } from '../engine/case/wheels.ts';
import type { Outlook } from '../engine/outlook/outlook.ts';
import { runBetween, tireLives } from '../visit/tireLives.ts';
import type { CarVisit } from '../visit/tireLives.ts';
import { tValue } from './interval.ts';
import type { Mean } from './interval.ts';

/** A rib that was foretold and read again, mm. */
export interface ForetoldRib {
  wheel: Wheel;
  rib: Rib;
  /** Run since. */
  km: number;
  /** Lost since: what was foretold, and what was read. */
  foretold: number;
  found: number;
  /** Whether the reading lay within the span that holds eight in ten, with the gauge's own error. */
  isWithin: boolean;
}

/** Forecasts against what was read, over many cars. */
export interface ForecastsHeld {
  cars: number;
  ribs: number;
  isTooFew: boolean;
  /** Rubber lost as a part of what was foretold, over all of it; null where nothing was foretold. */
  lost: Mean | null;
  /** What part of the readings lay within their spans; its interval is over cars. */
  within: { part: number; low: number; high: number } | null;
}

/** Fewer cars than this are too few to tell. */
export const LEAST_FORECASTS = 20;
/** Over less than this a forecast is not put to the test, km. */
const LEAST_KM = 2_000;
/** Of a normal, from its middle to the end of its 80 %. */
const HALF_OF_80 = 1.2816;

/** What is kept of an outlook to be held against later readings; null where no rib was read. */
export function forecastOf({ oldRibs }: Outlook): Forecast | null {
  if (!oldRibs) return null;
  const round = (mm: number) => Number(mm.toFixed(2));
  const curves = WHEEL_ORDER.flatMap((wheel) => RIBS.map((rib) => oldRibs[wheel][rib]));
  const km = curves.find((curve) => curve !== null)?.km;
  if (!km) return null;
  const ribs: Forecast['ribs'] = {};
  for (const wheel of WHEEL_ORDER) {
    for (const rib of RIBS) {
      const curve = oldRibs[wheel][rib];
      if (!curve) continue;
      (ribs[wheel] ??= {})[rib] = curve.mm.map(({ low, median, high }) => [
        round(low),
        round(median),
        round(high),
      ]);
    }
  }
  return { km: [...km], ribs };
}

/**
 * Holds a forecast against the readings of a later visit. Only tires that are still on the car count, and
 * rotations that lie between are followed no further: a tire that changed its place ran on otherwise.
 * @param then - the visit of the forecast
 * @param now - the later one; nothing was done to the car between
 * @returns nothing where too little was run, or more than was foretold
 */
export function foretoldRibs(forecast: Forecast, then: CarVisit, now: CarVisit): ForetoldRib[] {
  const km = runBetween(then, now);
  if (km === null || km < LEAST_KM || km > forecast.km.at(-1)!) return [];
  const lives = tireLives([then, now]);
  return WHEEL_ORDER.flatMap((wheel) => {
    const life = lives.find(
      ({ points }) => points.at(-1)!.visitId === now.id && points.at(-1)!.wheel === wheel,
    );
    const [from, to] = life?.points ?? [];
    if (!from || !to || from.wheel !== wheel || isPassed(now.draft, wheel)) return [];
    const sd = Math.sqrt(
      readingVariance({
        sdMm: now.draft.readingSpread ?? READING_SD_MM,
        roundingMm: ROUNDING_MM[to.readIn],
      }),
    );
    return RIBS.flatMap((rib): ForetoldRib[] => {
      const curve = forecast.ribs[wheel]?.[rib];
      const read = to.ribs[rib];
      if (!curve || read === null) return [];
      const [low, median, high] = [0, 1, 2].map((at) =>
        between(
          forecast.km,
          curve.map((point) => point[at]!),
          km,
        ),
      ) as [number, number, number];
      const start = curve[0]![1];
      const beyond = (end: number) => Math.hypot(end - median, HALF_OF_80 * sd);
      return [
        {
          wheel,
          rib,
          km,
          foretold: start - median,
          found: start - read,
          isWithin: read >= median - beyond(low) && read <= median + beyond(high),
        },
      ];
    });
  });
}

/** A tire that is worn down altogether loses nothing more, whatever was foretold. */
function isPassed({ tires }: VisitDraft, wheel: Wheel): boolean {
  const stations = tires?.[wheel]?.stations ?? [];
  return stations.some((station) => Object.values(station).some((mm) => mm === 0));
}

/**
 * Sums up how forecasts held. A car's ribs hang together, so intervals are over cars.
 * @param cars - the ribs of each car, see {@link foretoldRibs}
 * Source: ratio of sums with its linearized variance, Cochran 1977, Sampling Techniques, chapter 6.
 */
export function forecastsHeld(cars: readonly (readonly ForetoldRib[])[]): ForecastsHeld {
  const told = cars.filter((ribs) => ribs.length > 0);
  const sums = told.map((ribs) => ({
    foretold: sum(ribs.map(({ foretold }) => foretold)),
    found: sum(ribs.map(({ found }) => found)),
    ribs: ribs.length,
    within: ribs.filter(({ isWithin }) => isWithin).length,
  }));
  const lost = ratio(sums.map(({ found, foretold }) => [found, foretold]));
  const within = ratio(sums.map((car) => [car.within, car.ribs]));
  return {
    cars: told.length,
    ribs: sum(sums.map(({ ribs }) => ribs)),
    isTooFew: told.length < LEAST_FORECASTS,
    lost,
    within: within && {
      part: within.mean,
      low: Math.max(0, within.interval?.low ?? 0),
      high: Math.min(1, within.interval?.high ?? 1),
    },
  };
}

/** The sum of the first over the sum of the second of some pairs. */
function ratio(pairs: readonly (readonly [number, number])[]): Mean | null {
  const below = sum(pairs.map(([, second]) => second));
  if (below <= 0) return null;
  const mean = sum(pairs.map(([first]) => first)) / below;
  const n = pairs.length;
  if (n < 2) return { mean, interval: null };
  const off = sum(pairs.map(([first, second]) => (first - mean * second) ** 2));
  const half = (tValue(n - 1) * Math.sqrt((n * off) / (n - 1))) / below;
  return { mean, interval: { low: mean - half, high: mean + half } };
}

/** On a straight line between the points of a curve. */
function between(at: readonly number[], values: readonly number[], x: number): number {
  const next = Math.max(
    1,
    at.findIndex((one) => one >= x),
  );
  const part = (x - at[next - 1]!) / (at[next]! - at[next - 1]!);
  return values[next - 1]! + part * (values[next]! - values[next - 1]!);
}

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}
