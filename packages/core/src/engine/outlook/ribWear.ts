import { RIBS } from '@keen/contract/words';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { DEPTH_RATE } from '../case/treadFacts.ts';
import { WHEEL_ORDER } from '../case/wheels.ts';
import { exp } from '../math/elementary.ts';
import type { Random } from '../random/random.ts';
import { NOISE } from '../wear/constants.ts';
import { tirePath } from '../wear/paths.ts';
import { STATE } from '../wear/state.ts';
import { tireLoss } from '../wear/tireLoss.ts';
import type { TirePath } from '../wear/tireLoss.ts';
import type { PossibleCar } from './courses.ts';

/** How the twelve ribs of a possible car wear on, tire by tire from inner to outer. */

export const RIB_COUNT = 12;
export const KM_PER_THOUSAND_KM = 1000;
/** Nothing is foretold beyond, km: rubber ages too. */
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
export function aheadPaths(resolved: ResolvedCase): TirePath[] {
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
export function ratesOfNew(
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
export function drawFactors(state: Float64Array, random: Random): Float64Array {
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
export function depthSlope(state: Float64Array): number {
  return DEPTH_RATE + state[STATE.depthRate]!;
}

/** How much faster tread wears with that part of its depth left than at half of it. */
function depthFactor(slope: number, leftPart: number): number {
  return Math.max(LEAST_FACTOR, 1 + slope * (leftPart - 0.5));
}

/** Twelve ribs that wear on, as one possible car has it. */
export interface Wearing {
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
export function depthAfter(
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

/** The tires on the car, as each possible car explains them: depths now and rates ahead. */
export function oldTires(
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
