import type { Rib, Wheel } from '@keen/contract/words';
import { RIBS } from '@keen/contract/words';
import { tiresKey } from '../case/resolveCase.ts';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { DEPTH_RATE } from '../case/treadFacts.ts';
import { WHEEL_ORDER } from '../case/wheels.ts';
import { exp } from '../math/elementary.ts';
import { createRandom, hashSeed } from '../random/random.ts';
import type { Random } from '../random/random.ts';
import { axleRates } from '../wear/axleRates.ts';
import type { AxleRates } from '../wear/axleRates.ts';
import { NOISE } from '../wear/constants.ts';
import { tirePath } from '../wear/paths.ts';
import { STATE } from '../wear/state.ts';
import { tireLoss } from '../wear/tireLoss.ts';
import type { TirePath } from '../wear/tireLoss.ts';
import type { PossibleCar } from './courses.ts';

/** How the twelve ribs of a possible car wear on, tire by tire from inner to outer. */

export const RIB_COUNT = 12;
export const KM_PER_THOUSAND_KM = 1000;
/** Nothing is forecast beyond, km: rubber ages too. */
export const FURTHEST_KM = 150_000;
/** Rubber wears at least so much, mm in 1000 km; keeps a division from running away. */
const LEAST_RATE = 1e-4;
/** A rate that changes less with depth is taken as constant: the closed form divides by it. */
const LEAST_SLOPE = 1e-6;
/** No rib wears at less than this part of what the model says. */
const LEAST_FACTOR = 0.3;

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

/** mm in 1000 km at half depth of each of the twelve ribs, tire by tire from inner to outer. */
function ratesAtHalf(state: Float64Array, paths: readonly TirePath[]): Float64Array {
  const all = new Float64Array(RIB_COUNT);
  const loss = new Float64Array(3);
  for (let tire = 0; tire < paths.length; tire++) {
    tireLoss(state, paths[tire]!, loss);
    for (let rib = 0; rib < 3; rib++) all[3 * tire + rib] = Math.max(LEAST_RATE, loss[rib]!);
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

/**
 * The rates of the axles with new tires: what tires of another age or line made of an axle's rate goes with
 * them. Of two normal parts whose sum is known the one is normal about its share of the sum.
 * @param axles - see {@link axleRates}
 * @param drawn - a standard normal value for each axle
 * @returns the state itself where the tires that are on are of one kind
 */
function withNewTires(state: Float64Array, axles: AxleRates, drawn: Float64Array): Float64Array {
  const changed = state.slice();
  let isChanged = false;
  for (let axle = 0; axle < 2; axle++) {
    const sd = state[STATE.otherAge] === axle + 1 ? NOISE.otherAge : axles.sd;
    if (sd <= axles.ownSd) continue;
    const ratio = axles.ownSd / sd;
    const share = ratio * ratio;
    const mean = axles.means[axle]!;
    const at = STATE.axleRate + axle;
    changed[at] =
      mean + share * (state[at]! - mean) + axles.ownSd * Math.sqrt(1 - share) * drawn[axle]!;
    isChanged = true;
  }
  return isChanged ? changed : state;
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
export interface Wearing {
  /** Depths now, mm; infinite for a rib that was not read. */
  depths: Float64Array;
  /** mm in 1000 km: the mean from there down to the limit, and at half of the new depth. */
  rates: Float64Array;
  halfRates: Float64Array;
  /** See {@link depthSlope}. */
  slope: number;
}

/**
 * Depths of a rib at even steps, mm: the solution of dm/dx = -rate (1 + slope (m / new - 1/2)), where the rate
 * is that at half depth. They go on below 0.
 * @param stepKm - from one to the next, km
 * @param into - takes them, the first as it is now
 */
export function depthsAlong(
  { depths, halfRates, slope }: Wearing,
  rib: number,
  newMm: number,
  stepKm: number,
  into: Float64Array,
): void {
  const start = depths[rib]!;
  const lost = (halfRates[rib]! * stepKm) / KM_PER_THOUSAND_KM;
  if (Math.abs(slope) < LEAST_SLOPE) {
    for (let i = 0; i < into.length; i++) into[i] = start - i * lost;
    return;
  }
  // What is left above where the rate would be nothing falls by the same part with each step.
  const end = newMm * (0.5 - 1 / slope);
  const part = exp((-slope * lost) / newMm);
  let above = start - end;
  for (let i = 0; i < into.length; i++) {
    into[i] = end + above;
    above *= part;
  }
}

/**
 * A new set: the car's rates, times what the tires bring with them.
 * @param halfRates - see {@link ratesAtHalf}
 * @param factors - see {@link drawFactors}
 */
function freshTires(
  state: Float64Array,
  halfRates: Float64Array,
  factors: Float64Array,
  newDepths: Float64Array,
  limitMm: number,
): Wearing {
  const slope = depthSlope(state);
  const own = halfRates.map((rate, at) => rate * factors[at]!);
  return {
    depths: newDepths,
    halfRates: own,
    rates: own.map((rate, at) => rate * depthFactor(slope, leftPart(1, limitMm / newDepths[at]!))),
    slope,
  };
}

/** Half way from a depth down to the limit, both as parts of the new depth. */
function leftPart(from: number, limit: number): number {
  return (from + Math.min(from, limit)) / 2;
}

/**
 * The tires on the car, as each possible car explains them.
 * @param halfRates - of each car, see {@link ratesAtHalf}
 * @returns null where no rib was read
 */
function wornTires(
  resolved: ResolvedCase,
  cars: readonly PossibleCar[],
  halfRates: readonly Float64Array[],
): Wearing[] | null {
  const ofRibs = <T>(of: (wheel: Wheel, rib: Rib) => T): T[] =>
    WHEEL_ORDER.flatMap((wheel) => RIBS.map((rib) => of(wheel, rib)));
  const isRead = ofRibs((wheel, rib) => resolved.tires[wheel].readMm[rib].length > 0);
  if (!isRead.includes(true)) return null;
  const newDepths = ofRibs((wheel) => resolved.tires[wheel].newDepthMm);
  const began = ofRibs((wheel, rib) => resolved.tires[wheel].stretch.fromMm[rib]);
  const limitMm = resolved.limitsMm.legal;
  return cars.map(({ state, factors, lossMm }, car): Wearing => {
    const slope = depthSlope(state);
    const [depths, own, rates] = [0, 0, 0].map(() => new Float64Array(RIB_COUNT)) as Triple;
    for (let at = 0; at < RIB_COUNT; at++) {
      own[at] = halfRates[car]![at]! * Math.max(LEAST_FACTOR, factors[at]!);
      depths[at] = isRead[at] ? Math.max(0, began[at]! - lossMm[at]!) : Number.POSITIVE_INFINITY;
      const left = leftPart(depths[at]! / newDepths[at]!, limitMm / newDepths[at]!);
      rates[at] = isRead[at] ? Math.max(LEAST_RATE, own[at]! * depthFactor(slope, left)) : own[at]!;
    }
    return { depths, halfRates: own, rates, slope };
  });
}

type Triple = [Float64Array, Float64Array, Float64Array];

/** The tires of some possible cars, if the cars stood in some way. */
export interface TiresAhead {
  fresh: Wearing[];
  /** Those that are on; null where no rib was read. */
  worn: () => Wearing[] | null;
}

/**
 * @param cars - draws from the posterior of the case; the same case gives new tires of the same kind
 * @returns the new depths of the twelve ribs, mm, and the tires by how the cars stand
 */
export function createTiresAhead(resolved: ResolvedCase, cars: readonly PossibleCar[]) {
  const random = createRandom(hashSeed(`outlook ${tiresKey(resolved)}`));
  const paths = aheadPaths(resolved);
  const factors = cars.map(({ state }) => drawFactors(state, random));
  const axles = axleRates(resolved);
  const axleDraws = cars.map(() => Float64Array.of(random.normal(), random.normal()));
  const newDepths = Float64Array.from(
    WHEEL_ORDER.flatMap((wheel) => RIBS.map(() => resolved.tires[wheel].newDepthMm)),
  );
  const limitMm = resolved.limitsMm.legal;
  const tiresIf = (standing: (car: PossibleCar) => Float64Array): TiresAhead => {
    const states = cars.map(standing);
    const halfRates = states.map((state) => ratesAtHalf(state, paths));
    return {
      fresh: states.map((worn, i) => {
        const state = withNewTires(worn, axles, axleDraws[i]!);
        const rates = state === worn ? halfRates[i]! : ratesAtHalf(state, paths);
        return freshTires(state, rates, factors[i]!, newDepths, limitMm);
      }),
      worn: () => wornTires(resolved, cars, halfRates),
    };
  };
  return { newDepths, tiresIf };
}

/** Distance until the first rib of some tires is at the limit, km. */
export function lifeOf({ depths, rates }: Wearing, limitMm: number, leastMm = 0): number {
  let least = FURTHEST_KM;
  for (let at = 0; at < RIB_COUNT; at++) {
    const spare = Math.max(leastMm, depths[at]! - limitMm);
    least = Math.min(least, (KM_PER_THOUSAND_KM * spare) / rates[at]!);
  }
  return least;
}
