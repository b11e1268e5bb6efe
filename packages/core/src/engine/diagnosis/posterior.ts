import type { ResolvedCase } from '../case/resolveCase.ts';
import { tirePaths } from '../wear/paths.ts';
import { healthyState, STATE, STATE_SIZE } from '../wear/state.ts';
import type { TirePath } from '../wear/tireLoss.ts';
import { createDepthEvidence } from './depthEvidence.ts';
import { createHandEvidence } from './handEvidence.ts';
import type { EvidenceTerm } from './handEvidence.ts';
import { createLogPrior, FAULT_ELEMENTS, logNuisance, NUISANCE_ELEMENTS } from './prior.ts';

/** Elements of the state whose values are given: index and value. */
export type Known = ReadonlyMap<number, number>;

/** The unnormalised posterior of a case, in parts that can be renewed one by one. */
export interface Posterior {
  paths: readonly TirePath[];
  /** Terms that add up to the log posterior; the first {@link PRIOR_PARTS} are the prior. */
  parts: readonly EvidenceTerm[];
  /** For each element of the state a bit mask of the parts that depend on it. */
  touches: Int32Array;
  /** For each element of the state a bit mask of the tires whose wear depends on it. */
  wears: Int32Array;
  /** Everything at mid-tolerance. */
  healthy: Float64Array;
  /** Elements that are not in doubt, with their values. */
  known: Known;
}

export const PRIOR_PARTS = 2;

/** @param known - elements held at a value, as by a reader who knows the constants of this car */
export function createPosterior(resolved: ResolvedCase, known: Known = new Map()): Posterior {
  const paths = tirePaths(resolved);
  const { camber, totalToe } = resolved.tolerances;
  const depth = createDepthEvidence(resolved, paths);
  const parts: EvidenceTerm[] = [
    { elements: FAULT_ELEMENTS, log: createLogPrior(resolved) },
    { elements: NUISANCE_ELEMENTS, log: logNuisance },
    ...paths.map((path) => ({
      elements: elementsOf(path),
      log: (state: Float64Array) => depth(state, path.tire),
    })),
    ...createHandEvidence(resolved),
  ];
  return {
    paths,
    parts,
    touches: masks(parts.map(({ elements }) => elements)),
    wears: masks(paths.map(elementsOf)),
    healthy: healthyState(
      [middle(camber.front), middle(camber.rear)],
      [middle(totalToe.front), middle(totalToe.rear)],
    ),
    known,
  };
}

/** Log likelihood of everything observed, given a state, up to a constant. */
export function logLikelihood({ parts }: Posterior, state: Float64Array): number {
  return parts.slice(PRIOR_PARTS).reduce((sum, { log }) => sum + log(state), 0);
}

function middle([low, high]: readonly [number, number]): number {
  return (low + high) / 2;
}

function masks(parts: readonly (readonly number[])[]): Int32Array {
  const mask = new Int32Array(STATE_SIZE);
  parts.forEach((elements, part) => elements.forEach((element) => (mask[element]! |= 1 << part)));
  return mask;
}

/** What the wear of a tire depends on: its own pressure and bounce, and where it has been. */
function elementsOf(path: TirePath): number[] {
  const places = [...new Set(path.positions)];
  const axles = [...new Set(places.map((position) => position >> 1))];
  return [
    STATE.pressure + path.tire,
    STATE.bounce + path.tire,
    ...places.map((position) => STATE.camber + position),
    ...axles.flatMap((axle) =>
      [STATE.toe, STATE.looseness, STATE.tilt, STATE.crown, STATE.drivingSlip].map(
        (offset) => offset + axle,
      ),
    ),
    STATE.abradability,
    STATE.cornering,
    STATE.hand,
    STATE.camberShare,
    STATE.toeShare,
    STATE.pressureShare,
    STATE.corneringShare,
    STATE.camberSlip,
  ];
}
