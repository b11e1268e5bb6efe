import type { ResolvedCase } from '../case/resolveCase.ts';
import { tirePaths } from '../wear/paths.ts';
import { healthyState, STATE, STATE_SIZE } from '../wear/state.ts';
import type { TirePath } from '../wear/tireLoss.ts';
import { createDepthEvidence } from './depthEvidence.ts';
import type { DepthEvidence } from './depthEvidence.ts';
import { createHandEvidence } from './handEvidence.ts';
import { createLogPrior } from './prior.ts';
import type { LogPrior } from './prior.ts';

/** Bits that say which parts of the posterior a change of the state touches. */
export const TOUCHES_HAND = 1 << 4;
export const TOUCHES_ALL_TIRES = 0b1111;

/** The unnormalised posterior of a case, in parts that can be renewed one by one. */
export interface Posterior {
  paths: readonly TirePath[];
  prior: LogPrior;
  depth: DepthEvidence;
  hand: (state: Float64Array) => number;
  /** For each element of the state, which tires' depths and whether the hand evidence depend on it. */
  touches: Int32Array;
  /** Everything at mid-tolerance. */
  healthy: Float64Array;
  /** Elements that are not in doubt, with their values. */
  known: Known;
}

/** Elements of the state whose values are given: index and value. */
export type Known = ReadonlyMap<number, number>;

/** @param known - elements held at a value, as by a reader who knows the constants of this car */
export function createPosterior(resolved: ResolvedCase, known: Known = new Map()): Posterior {
  const paths = tirePaths(resolved);
  const { camber, totalToe } = resolved.tolerances;
  return {
    paths,
    prior: createLogPrior(resolved),
    depth: createDepthEvidence(resolved, paths),
    hand: createHandEvidence(resolved),
    touches: touchesOf(paths),
    healthy: healthyState(
      [middle(camber.front), middle(camber.rear)],
      [middle(totalToe.front), middle(totalToe.rear)],
    ),
    known,
  };
}

function middle([low, high]: readonly [number, number]): number {
  return (low + high) / 2;
}

function touchesOf(paths: readonly TirePath[]): Int32Array {
  const touches = new Int32Array(STATE_SIZE).fill(TOUCHES_ALL_TIRES);
  const tiresAt = (holds: (position: number) => boolean) =>
    paths.reduce((mask, path) => (path.positions.some(holds) ? mask | (1 << path.tire) : mask), 0);
  for (let wheel = 0; wheel < 4; wheel++) {
    touches[STATE.camber + wheel] = tiresAt((position) => position === wheel) | TOUCHES_HAND;
    touches[STATE.pressure + wheel] = (1 << wheel) | TOUCHES_HAND;
    touches[STATE.bounce + wheel] = (1 << wheel) | TOUCHES_HAND;
  }
  for (let axle = 0; axle < 2; axle++) {
    const tires = tiresAt((position) => position >> 1 === axle);
    touches[STATE.toe + axle] = tires | TOUCHES_HAND;
    touches[STATE.looseness + axle] = tires | TOUCHES_HAND;
    touches[STATE.drivingSlip + axle] = tires | TOUCHES_HAND;
    touches[STATE.tilt + axle] = tires;
    touches[STATE.crown + axle] = tires;
  }
  return touches;
}
