import type { Action, Axle, Check, Rib, Wheel } from '@keen/contract/words';
import { ACTIONS, RIBS } from '@keen/contract/words';
import { byWheel, tiresKey } from '../case/resolveCase.ts';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { WHEEL_ORDER } from '../case/wheels.ts';
import { createRandom, hashSeed } from '../random/random.ts';
import type { Random } from '../random/random.ts';
import { exp } from '../math/elementary.ts';
import { DEPTH_RATE } from '../case/treadFacts.ts';
import { NOISE } from '../wear/constants.ts';
import { tirePath } from '../wear/paths.ts';
import { STATE } from '../wear/state.ts';
import { tireLoss } from '../wear/tireLoss.ts';
import type { TirePath } from '../wear/tireLoss.ts';
import {
  isAlignmentOut,
  isLoose,
  isNeedless,
  isPutRight,
  stateAfter,
  statePutRight,
} from './courses.ts';
import type { PossibleCar } from './courses.ts';

/** A quantity with its 80 % interval. */
export interface Span {
  low: number;
  median: number;
  high: number;
}

/** What one course of work lets a new set live. */
export interface CourseOutlook {
  course: Action;
  /** Distance until the first rib of the new set is at the limit, km. */
  lifeKm: Span;
  /** The rib that gets there first, most often. */
  first: { wheel: Wheel; rib: Rib };
  /** Chance that the work was not needed. */
  needless: number;
  /** Chance that a fault stays and the wear comes back. */
  comesBack: number;
  /** For each possible car, pairs of new tires that an axle uses up in a km. */
  pairsPerKm: Record<Axle, number[]>;
}

/** Depth of the lowest rib against distance, with an 80 % band. */
export interface DepthCurve {
  /** km from today. */
  km: number[];
  mm: Span[];
}

/** Why a course is left out of the weighing, whatever it would cost. */
export type Bar =
  /** What anyone can see on this tread would come back on the next one. */
  | 'seen'
  /** The angles have moved since they were last set. */
  | 'moved'
  /** Likely as it is that an angle is out, it is measured before it is set. */
  | 'measureFirst'
  /** They have been measured. */
  | 'measured'
  /** Measured, and in tolerance. */
  | 'inOrder'
  /** Worn joints or dampers need more than a suspicion. */
  | 'unlikely';

/** A check that has not been made, with the chance of each of its answers in each possible car. */
export interface CheckAnswers {
  check: Check;
  where: Wheel | Axle;
  /** One row a car. */
  chances: (readonly number[])[];
}

/** Depth of each rib against distance; null for a rib that was not read. */
export type RibCurves = Record<Wheel, Record<Rib, DepthCurve | null>>;

/** The wear model run ahead from what the tread says. */
export interface Forecast {
  limitMm: number;
  newDepthMm: number;
  courses: CourseOutlook[];
  /** What the old tires still run before the first rib is at the limit, km; null when none was read. */
  oldKm: Span | null;
  curves: { oldAsIs: DepthCurve | null; newAsIs: DepthCurve; newPutRight: DepthCurve };
  /** Each rib of the tires on the car, as the car is; null for a rib that was not read. */
  oldRibs: RibCurves | null;
  /** Each rib after each course of work, on a line that does not end at 0. */
  ribsAfter: Record<Action, { worn: RibCurves | null; fresh: RibCurves }>;
  /** For each possible car, whether an angle is out and whether a joint is loose. */
  cars: { isOut: boolean; isLoose: boolean }[];
}

/** The forecast with what bears on choosing: courses left out, and what the open checks would say. */
export interface Outlook extends Forecast {
  bars: Partial<Record<Action, Bar>>;
  checks: CheckAnswers[];
}

/** The 80 % interval. */
const LOW = 0.1;
const HIGH = 0.9;
/** Nothing is foretold beyond, km: rubber ages too. */
export const FURTHEST_KM = 150_000;
const KM_PER_THOUSAND_KM = 1000;
const CURVE_POINTS = 24;
/** How far ahead each rib by itself is foretold, km. */
const RIB_CURVE_KM = [0, 5_000, 10_000, 20_000] as const;
const RIB_AFTER_KM = [0, 10_000, 20_000, 40_000] as const;
const RIB_COUNT = 12;
/** A tire that is new at its limit still has so much to wear, mm. */
const LEAST_SPARE_MM = 0.1;
/** Rubber wears at least so much, mm in 1000 km; keeps a division from running away. */
const LEAST_RATE = 1e-4;
/** A rate that changes less with depth is taken as constant: the closed form divides by it. */
const LEAST_SLOPE = 1e-6;
/** No rib wears at less than this part of what the model says. */
const LEAST_FACTOR = 0.3;

/**
 * Runs the wear model ahead: what new tires like these would live after each course of work, and what
 * the old ones still run as the car is.
 *
 * A car that stays as it is wears a rib at a rate that falls with what is left of it, so a rib's life is its
 * depth above the limit over the rate half way there. A new tire brings a factor of its own and one for each rib that nobody can know;
 * those of an old tire are learned from its readings. The spread over the possible cars and those
 * factors is the interval.
 * @param cars - draws from the posterior of the case
 * @returns what is needed to weigh the courses against one another; the same case gives the same one
 */
export function createOutlook(resolved: ResolvedCase, cars: readonly PossibleCar[]): Forecast {
  const random = createRandom(hashSeed(`outlook ${tiresKey(resolved)}`));
  const limitMm = resolved.limitsMm.legal;
  const paths = aheadPaths(resolved);
  // Half way between new and the limit, as a part of the new depth.
  const leftParts = WHEEL_ORDER.flatMap((wheel) =>
    RIBS.map(() => (1 + Math.min(1, limitMm / resolved.tires[wheel].newDepthMm)) / 2),
  );
  const newFactors = cars.map(({ state }) => drawFactors(state, random));
  const ratesAfter = new Map(
    ACTIONS.map((course) => [
      course,
      cars.map((car, i) =>
        ratesOfNew(stateAfter(course, car, resolved), paths, newFactors[i]!, leftParts),
      ),
    ]),
  );
  const newDepths = Float64Array.from(
    WHEEL_ORDER.flatMap((wheel) => RIBS.map(() => resolved.tires[wheel].newDepthMm)),
  );
  const spare = newDepths.map((mm) => Math.max(LEAST_SPARE_MM, mm - limitMm));
  const courses = ACTIONS.map((course) =>
    courseOutlook(course, ratesAfter.get(course)!, spare, cars),
  );
  const fresh = (rated: readonly Float64Array[]): Wearing[] =>
    rated.map((rates, i) => ({
      depths: newDepths,
      rates,
      slope: depthSlope(cars[i]!.state),
      leftParts,
    }));
  const asIs = ratesAfter.get('fitOnly')!;
  const putRight = cars.map((car, i) =>
    ratesOfNew(statePutRight(car, resolved), paths, newFactors[i]!, leftParts),
  );
  const furthest = Math.min(
    FURTHEST_KM,
    1.15 * quantileOf(lives(putRight, spare).toSorted(), HIGH),
  );
  const old = oldTires(resolved, cars, paths);
  return {
    limitMm,
    newDepthMm: Math.min(...newDepths),
    courses,
    oldKm: old && span(Float64Array.from(old, (tire) => tire.km)),
    curves: {
      oldAsIs: old && depthCurve(old, newDepths, furthest),
      newAsIs: depthCurve(fresh(asIs), newDepths, furthest),
      newPutRight: depthCurve(fresh(putRight), newDepths, furthest),
    },
    oldRibs: old && ribCurves(old, newDepths, RIB_CURVE_KM, 0),
    ribsAfter: byCourse((course) => {
      const after = cars.map((car) => ({ ...car, state: stateAfter(course, car, resolved) }));
      const worn = oldTires(resolved, after, paths);
      const ahead = (tires: readonly Wearing[]) =>
        ribCurves(tires, newDepths, RIB_AFTER_KM, Number.NEGATIVE_INFINITY);
      return { worn: worn && ahead(worn), fresh: ahead(fresh(ratesAfter.get(course)!)) };
    }),
    cars: cars.map((car) => ({
      isOut: isAlignmentOut(car),
      isLoose: isLoose(car, 0) || isLoose(car, 1),
    })),
  };
}

/**
 * Where each tire will be: where it stands, or turn by turn front and rear on its side when this car's
 * tires have been changing places.
 */
function aheadPaths(resolved: ResolvedCase): TirePath[] {
  const rotates = resolved.rotatable && resolved.rotations.length > 0;
  return WHEEL_ORDER.map((_wheel, tire) =>
    rotates
      ? tirePath(tire, [tire % 2, (tire % 2) + 2], [0.5, 0.5], resolved.drive)
      : tirePath(tire, [tire], [1], resolved.drive),
  );
}

/** mm in 1000 km at each of the twelve ribs, tire by tire from inner to outer. */
function rates(state: Float64Array, paths: readonly TirePath[]): Float64Array {
  const all = new Float64Array(RIB_COUNT);
  const loss = new Float64Array(3);
  for (let tire = 0; tire < paths.length; tire++) {
    tireLoss(state, paths[tire]!, loss);
    for (let rib = 0; rib < 3; rib++) all[3 * tire + rib] = Math.max(LEAST_RATE, loss[rib]!);
  }
  return all;
}

/** The mean rates of a new set down to the limit: the car's, times what the tires bring with them. */
function ratesOfNew(
  state: Float64Array,
  paths: readonly TirePath[],
  factors: Float64Array,
  leftParts: readonly number[],
): Float64Array {
  const all = rates(state, paths);
  for (let at = 0; at < RIB_COUNT; at++) {
    all[at]! *= factors[at]! * depthFactor(depthSlope(state), leftParts[at]!);
  }
  return all;
}

/** What a new set brings with it that nobody can know: a factor a tire and one a rib, twelve in all. */
function drawFactors(state: Float64Array, random: Random): Float64Array {
  const scale = exp(state[STATE.noise]!);
  const factors = new Float64Array(RIB_COUNT);
  for (let tire = 0; tire < 4; tire++) {
    const own = NOISE.tire * scale * random.normal();
    for (let rib = 0; rib < 3; rib++) {
      factors[3 * tire + rib] = Math.max(
        LEAST_FACTOR,
        1 + own + NOISE.rib * scale * random.normal(),
      );
    }
  }
  return factors;
}

/** How much faster tread wears when it is new than at its end, as a part of the rate at half its depth. */
function depthSlope(state: Float64Array): number {
  return DEPTH_RATE + state[STATE.depthRate]!;
}

/** How much faster tread wears with that part of its depth left than at half of it. */
function depthFactor(slope: number, leftPart: number): number {
  return Math.max(LEAST_FACTOR, 1 + slope * (leftPart - 0.5));
}

/** Twelve ribs that wear on, as one possible car has it. */
interface Wearing {
  /** Depths now, mm. */
  depths: Float64Array;
  /** mm in 1000 km, with that part of the new depth left that {@link leftParts} says. */
  rates: Float64Array;
  leftParts: ArrayLike<number>;
  slope: number;
}

/**
 * Depth of a rib after some way: the solution of dm/dx = -rate (1 + slope (m / new - 1/2)), where the rate is
 * that at half depth. It goes on below 0.
 */
function depthAfter(
  { depths, rates, leftParts, slope }: Wearing,
  rib: number,
  newMm: number,
  thousandKm: number,
): number {
  const start = depths[rib]!;
  const rate = rates[rib]! / depthFactor(slope, leftParts[rib]!);
  if (Math.abs(slope) < LEAST_SLOPE) return start - rate * thousandKm;
  const base = (1 - slope / 2) / slope;
  return newMm * ((start / newMm + base) * exp((-slope * rate * thousandKm) / newMm) - base);
}

function courseOutlook(
  course: Action,
  rated: readonly Float64Array[],
  spare: Float64Array,
  cars: readonly PossibleCar[],
): CourseOutlook {
  const counts = new Array<number>(RIB_COUNT).fill(0);
  const pairsPerKm: Record<Axle, number[]> = { front: [], rear: [] };
  for (const ribs of rated) {
    const worst = [0, 0];
    let first = 0;
    let most = 0;
    for (let at = 0; at < RIB_COUNT; at++) {
      const perKm = ribs[at]! / KM_PER_THOUSAND_KM / spare[at]!;
      const axle = at < RIB_COUNT / 2 ? 0 : 1;
      if (perKm > worst[axle]!) worst[axle] = perKm;
      if (perKm > most) {
        most = perKm;
        first = at;
      }
    }
    counts[first]! += 1;
    pairsPerKm.front.push(Math.max(1 / FURTHEST_KM, worst[0]!));
    pairsPerKm.rear.push(Math.max(1 / FURTHEST_KM, worst[1]!));
  }
  const most = counts.indexOf(Math.max(...counts));
  const share = (holds: (car: PossibleCar) => boolean) => cars.filter(holds).length / cars.length;
  return {
    course,
    lifeKm: span(lives(rated, spare)),
    first: { wheel: WHEEL_ORDER[Math.floor(most / 3)]!, rib: RIBS[most % 3]! },
    needless: share((car) => isNeedless(course, car)),
    comesBack: share((car) => !isPutRight(course, car)),
    pairsPerKm,
  };
}

/** Distance until the first rib of a set is at the limit, for each possible car, km. */
function lives(rated: readonly Float64Array[], spare: Float64Array): Float64Array {
  return Float64Array.from(rated, (ribs) => {
    let least = FURTHEST_KM;
    for (let at = 0; at < RIB_COUNT; at++) {
      least = Math.min(least, (KM_PER_THOUSAND_KM * spare[at]!) / ribs[at]!);
    }
    return least;
  });
}

/** The tires on the car, as each possible car explains them: depths now and rates ahead. */
function oldTires(
  resolved: ResolvedCase,
  cars: readonly PossibleCar[],
  ahead: readonly TirePath[],
) {
  const read = WHEEL_ORDER.flatMap((wheel) =>
    RIBS.map((rib) => {
      const depths = resolved.tires[wheel].readMm[rib];
      return depths.length === 0 ? null : depths.reduce((sum, mm) => sum + mm, 0) / depths.length;
    }),
  );
  if (read.every((mm) => mm === null)) return null;
  const newDepths = WHEEL_ORDER.flatMap((wheel) =>
    RIBS.map(() => resolved.tires[wheel].newDepthMm),
  );
  const began = WHEEL_ORDER.flatMap((wheel) =>
    RIBS.map((rib) => resolved.tires[wheel].stretch.fromMm[rib]),
  );
  return cars.map(({ state, factors, lossMm }): Wearing & { km: number } => {
    const slope = depthSlope(state);
    const leftParts = new Float64Array(RIB_COUNT).fill(0.5);
    const ribRates = rates(state, ahead);
    const depths = Float64Array.from(read, (seen, at) =>
      seen === null ? Number.POSITIVE_INFINITY : Math.max(0, began[at]! - lossMm[at]!),
    );
    const future = Float64Array.from(read, (seen, at) => {
      const rate = ribRates[at]! * Math.max(LEAST_FACTOR, factors[at]!);
      if (seen === null) return rate;
      const depth = depths[at]!;
      const left = (depth + Math.min(depth, resolved.limitsMm.legal)) / 2;
      leftParts[at] = left / newDepths[at]!;
      return Math.max(LEAST_RATE, rate * depthFactor(slope, leftParts[at]));
    });
    const km = depths.map((mm, at) =>
      Number.isFinite(mm)
        ? (KM_PER_THOUSAND_KM * Math.max(0, mm - resolved.limitsMm.legal)) / future[at]!
        : FURTHEST_KM,
    );
    return { depths, rates: future, leftParts, slope, km: Math.min(FURTHEST_KM, ...km) };
  });
}

/** Depth of the lowest rib at even steps of distance, as quantiles over the possible cars. */
function depthCurve(
  tires: readonly Wearing[],
  newDepths: Float64Array,
  furthestKm: number,
): DepthCurve {
  const km = Array.from({ length: CURVE_POINTS + 1 }, (_, i) => (i * furthestKm) / CURVE_POINTS);
  const lowest = new Float64Array(tires.length);
  return {
    km,
    mm: km.map((at) => {
      tires.forEach((tire, car) => {
        let least = Number.POSITIVE_INFINITY;
        for (let rib = 0; rib < RIB_COUNT; rib++) {
          if (!Number.isFinite(tire.depths[rib])) continue;
          const left = depthAfter(tire, rib, newDepths[rib]!, at / KM_PER_THOUSAND_KM);
          if (left < least) least = left;
        }
        lowest[car] = Math.max(0, least);
      });
      return span(lowest);
    }),
  };
}

function byCourse<T>(of: (course: Action) => T): Record<Action, T> {
  return Object.fromEntries(ACTIONS.map((course) => [course, of(course)])) as Record<Action, T>;
}

/** Depth of each rib by itself; it goes down in a line that is nearly straight, so few points will do. */
function ribCurves(
  tires: readonly Wearing[],
  newDepths: Float64Array,
  atKm: readonly number[],
  leastMm: number,
): RibCurves {
  const values = new Float64Array(tires.length);
  const curveAt = (rib: number): DepthCurve | null => {
    if (!Number.isFinite(tires[0]!.depths[rib])) return null;
    return {
      km: [...atKm],
      mm: atKm.map((km) => {
        tires.forEach((tire, car) => {
          const left = depthAfter(tire, rib, newDepths[rib]!, km / KM_PER_THOUSAND_KM);
          values[car] = Math.max(leastMm, left);
        });
        return span(values);
      }),
    };
  };
  return byWheel((wheel) => {
    const first = 3 * WHEEL_ORDER.indexOf(wheel);
    return { inner: curveAt(first), centre: curveAt(first + 1), outer: curveAt(first + 2) };
  });
}

/** Median and 80 % interval of some values. */
export function span(values: Float64Array): Span {
  const sorted = values.toSorted();
  return {
    low: quantileOf(sorted, LOW),
    median: quantileOf(sorted, 0.5),
    high: quantileOf(sorted, HIGH),
  };
}

/** Linear between order statistics (Hyndman and Fan 1996, definition 7). */
function quantileOf(sorted: Float64Array, part: number): number {
  const at = part * (sorted.length - 1);
  const below = sorted[Math.floor(at)]!;
  const above = sorted[Math.ceil(at)]!;
  return below + (above - below) * (at - Math.floor(at));
}
