import type { ResolvedCase } from '../case/resolveCase.ts';
import { WHEEL_ORDER } from '../case/wheels.ts';
import { tirePaths } from '../wear/paths.ts';
import { healthyState, STATE, STATE_SIZE } from '../wear/state.ts';
import type { TirePath } from '../wear/tireLoss.ts';
import { createDepthLikelihood } from './depthLikelihood.ts';
import type { DepthLikelihood } from './depthLikelihood.ts';
import { createObservationTerms } from './observationLikelihood.ts';
import type { EvidenceTerm } from './evidenceTerm.ts';
import { scatterLog, tireReadings } from './tireReadings.ts';
import { createLogOddities, createLogPrior, FAULT_ELEMENTS, ODDITY_ELEMENTS } from './prior.ts';

/** Elements of the state whose values are given: index and value. */
export type Known = ReadonlyMap<number, number>;

/** The unnormalised posterior of a case, in parts that can be renewed one by one. */
export interface Posterior {
  paths: readonly TirePath[];
  /** Terms that add up to the log posterior with the depths'; the first {@link PRIOR_PARTS} are the prior. */
  parts: readonly EvidenceTerm[];
  /** A depth likelihood of its own for each chain, since it remembers where the chain is. */
  createDepths: () => DepthLikelihood;
  /** For each element of the state a bit mask of the parts that depend on it. */
  touches: Int32Array;
  /** For each element of the state a bit mask of the tires whose wear depends on it. */
  wears: Int32Array;
  /** For each element whether the scatter of the depths depends on it. */
  scatters: Uint8Array;
  /** Everything at mid-tolerance. */
  healthy: Float64Array;
  /** Elements that are not in doubt, with their values. */
  known: Known;
}

export const PRIOR_PARTS = 2;

/** Elements that widen or narrow the scatter of the depths. */
const SCATTER_ELEMENTS = [STATE.noise, STATE.oddTire, STATE.oddReading, STATE.otherAge];

/** @param known - elements held at a value, as by a reader who knows the constants of this car */
export function createPosterior(resolved: ResolvedCase, known: Known = new Map()): Posterior {
  const paths = tirePaths(resolved);
  const { camber, totalToe } = resolved.tolerances;
  const parts: EvidenceTerm[] = [
    { elements: FAULT_ELEMENTS, log: createLogPrior(resolved) },
    { elements: ODDITY_ELEMENTS, log: createLogOddities(resolved) },
    ...createObservationTerms(resolved),
    ...scatterTerms(resolved),
  ];
  const scatters = new Uint8Array(STATE_SIZE);
  for (const element of SCATTER_ELEMENTS) scatters[element] = 1;
  return {
    paths,
    parts,
    createDepths: () => createDepthLikelihood(resolved, paths, known),
    touches: masks(parts.map(({ elements }) => elements)),
    wears: masks(paths.map(elementsOf)),
    scatters,
    healthy: healthyState(
      [middle(camber.front), middle(camber.rear)],
      [middle(totalToe.front), middle(totalToe.rear)],
    ),
    known,
  };
}

/** Log likelihood of everything observed, given a state, up to a constant. */
export function logLikelihood({ parts, createDepths }: Posterior, state: Float64Array): number {
  return parts
    .slice(PRIOR_PARTS)
    .reduce((sum, { log }) => sum + log(state), createDepths().propose(state, 0b1111));
}

/** The scatter between places round each tire that was read at several: the depths' word on bounce. */
function scatterTerms(resolved: ResolvedCase): EvidenceTerm[] {
  return WHEEL_ORDER.flatMap((wheel, tire) => {
    const readings = tireReadings(resolved.tires[wheel]);
    if (readings.scatterFreedom === 0) return [];
    const healthy = scatterLog(readings, resolved.reading, false);
    const bouncing = scatterLog(readings, resolved.reading, true);
    const element = STATE.bounce + tire;
    return [
      {
        elements: [element],
        log: (state: Float64Array) => (state[element]! > 0.5 ? bouncing : healthy),
      },
    ];
  });
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
    ...axles.flatMap((axle) => [STATE.toe + axle, STATE.looseness + axle]),
    STATE.logWearRate,
    STATE.cornering,
  ];
}
