import type { Forecast, VisitDraft } from '@keen/contract';
import type { ForecastKind, Rib, Wheel } from '@keen/contract/words';
import { RIBS } from '@keen/contract/words';
import { READING_SD_MM, readingVariance, ROUNDING_MM } from '../engine/case/treadFacts.ts';
import { WHEEL_ORDER } from '../engine/case/wheels.ts';
import type { RibsAfter } from '../engine/outlook/ribsAfter.ts';
import { placesBefore, runBetween, tireLives } from '../visit/tireLives.ts';
import type { CarVisit, TireLife } from '../visit/tireLives.ts';
import { tiresReplaced, workDone } from '../visit/workDone.ts';
import type { Decided } from '../visit/workDone.ts';
import { tValue } from './interval.ts';
import type { Mean } from './interval.ts';

/** A rib that was forecast and read again, mm. */
export interface ForecastRib {
  wheel: Wheel;
  rib: Rib;
  kind: ForecastKind;
  /** Run since. */
  km: number;
  /** Lost since: what was forecast, and what was read. */
  forecast: number;
  found: number;
  /** Whether the reading lay within the span that holds eight in ten, with the gauge's own error. */
  isWithin: boolean;
}

/** Forecasts against what was read, over many cars. */
export interface ForecastsHeld {
  cars: number;
  ribs: number;
  isTooFew: boolean;
  /** Rubber lost as a part of what was forecast, over all of it; null where nothing was forecast. */
  lost: Mean | null;
  /** What part of the readings lay within their spans; its interval is over cars. */
  within: { part: number; low: number; high: number } | null;
}

/** Fewer cars than this are too few to tell. */
export const LEAST_FORECASTS = 20;
/** Over less than this a forecast is not put to the test, km. */
const LEAST_KM = 2_000;
/** The distance of new tires is that since they were fitted, give or take this, km. */
const DISTANCE_KM = 1_000;
/** Of a normal, from its middle to the end of its 80 %. */
const HALF_OF_80 = 1.2816;

/** What a decision leaves on the car. */
type Decision = NonNullable<Decided['decision']>;

/**
 * What is saved to be held against later readings: of the tires that the decision leaves on the
 * car, after the work that was agreed.
 * @returns null where no rib was read and no tire is new
 */
export function forecastOf(ribsAfter: RibsAfter, decision: Decision): Forecast | null {
  const course = decision.answer === 'yes' ? decision.action : 'fitOnly';
  const replaced = tiresReplaced({ decision });
  const { worn, fresh } = ribsAfter[course];
  const round = (mm: number) => Number(mm.toFixed(2));
  const ribs: Forecast['ribs'] = {};
  let km: readonly number[] | null = null;
  for (const wheel of WHEEL_ORDER) {
    const curves = replaced.includes(wheel) ? fresh : worn;
    for (const rib of RIBS) {
      const curve = curves?.[wheel][rib];
      if (!curve) continue;
      km ??= curve.km;
      (ribs[wheel] ??= {})[rib] = curve.mm.map(({ low, median, high }) => [
        round(low),
        round(median),
        round(high),
      ]);
    }
  }
  return km && { km: [...km], ribs, course, replaced };
}

/** Whether a visit's work is what its forecast was made for. */
export function isAsForecast({ course = 'fitOnly' }: Forecast, visit: Decided): boolean {
  // Measuring first forecasts both: set where something was out, left where nothing was.
  if (course === 'checkAlignment') return true;
  const agreed: Decided = { draft: {}, decision: { action: course, answer: 'yes', replace: [] } };
  return workDone(visit) === workDone(agreed);
}

/**
 * Holds a forecast against the readings of a later visit. Only tires that are still where they were count:
 * a tire that changed its place ran on otherwise.
 * @param then - the visit of the forecast, with the tires replaced at it
 * @param now - the next one
 * @param isPutRight - whether work was done at the visit of the forecast
 * @returns nothing where too little was run, or more than was forecast
 */
export function forecastRibs(
  forecast: Forecast,
  then: CarVisit,
  now: CarVisit,
  isPutRight = false,
): ForecastRib[] {
  const km = runBetween(then, now);
  if (km === null || km < LEAST_KM || km > forecast.km.at(-1)!) return [];
  const lives = tireLives([then, now]);
  return WHEEL_ORDER.flatMap((wheel) => {
    const isFresh = forecast.replaced?.includes(wheel) ?? false;
    const life = lives.find(
      ({ points }) => points.at(-1)!.visitId === now.id && points.at(-1)!.wheel === wheel,
    );
    const to = life?.points.at(-1);
    if (!life || !to || isPassed(now.draft, wheel)) return [];
    const isSame = isFresh
      ? isFitted(life, then, now, km)
      : life.points.length > 1 && life.points[0]!.wheel === wheel;
    if (!isSame) return [];
    const sd = Math.sqrt(
      readingVariance({
        sdMm: now.draft.readingSpread ?? READING_SD_MM,
        roundingMm: ROUNDING_MM[to.readIn],
      }),
    );
    const kind = isFresh ? 'fresh' : isPutRight ? 'putRight' : 'ranOn';
    return RIBS.flatMap((rib): ForecastRib[] => {
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
      // Nobody drives on to where the forecast has no rubber left, but for those who wear less.
      if (median <= 0) return [];
      const start = curve[0]![1];
      // New tires are of the depth that they were entered with, whatever was thought of before.
      const began = isFresh ? (life.newDepthMm ?? start) : start;
      const found = began - read;
      const beyond = (end: number) => Math.hypot(end - median, HALF_OF_80 * sd);
      const left = start - found;
      return [
        {
          wheel,
          rib,
          kind,
          km,
          forecast: start - median,
          found,
          isWithin: left >= median - beyond(low) && left <= median + beyond(high),
        },
      ];
    });
  });
}

/** Whether a tire read now is the one that was fitted then, where it was fitted. */
function isFitted(life: TireLife, then: CarVisit, now: CarVisit, km: number): boolean {
  const [point] = life.points;
  if (life.points.length !== 1 || !point) return false;
  if (placesBefore(then, now)[point.wheel] !== point.wheel) return false;
  return point.km === null || Math.abs(point.km - km) <= DISTANCE_KM;
}

/** A tire that is worn down altogether loses nothing more, whatever was forecast. */
function isPassed({ tires }: VisitDraft, wheel: Wheel): boolean {
  const stations = tires?.[wheel]?.stations ?? [];
  return stations.some((station) => Object.values(station).some((mm) => mm === 0));
}

/**
 * Sums up how forecasts held. A car's ribs hang together, so intervals are over cars.
 * @param cars - the ribs of each car, see {@link forecastRibs}
 * Source: ratio of sums with its linearized variance, Cochran 1977, Sampling Techniques, chapter 6.
 */
export function forecastsHeld(cars: readonly (readonly ForecastRib[])[]): ForecastsHeld {
  const told = cars.filter((ribs) => ribs.length > 0);
  const sums = told.map((ribs) => ({
    forecast: sum(ribs.map(({ forecast }) => forecast)),
    found: sum(ribs.map(({ found }) => found)),
    ribs: ribs.length,
    within: ribs.filter(({ isWithin }) => isWithin).length,
  }));
  const lost = ratio(sums.map(({ found, forecast }) => [found, forecast]));
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
