import type { CaseFile, ShopConstants } from '@keen/contract';
import type { Cause, FaultKind } from '@keen/contract/words';
import { FAULT_KINDS } from '@keen/contract/words';
import { resolveCase } from '../case/resolveCase.ts';
import { createRandom, hashSeed } from '../random/random.ts';
import { canonicalJson } from '../random/canonicalJson.ts';
import { BOUNCE_COLUMNS, FAULTS, LOOSENESS_COLUMNS, PRESSURE_COLUMNS } from '../wear/faults.ts';
import { STATE } from '../wear/state.ts';
import { createFaultClassifier, FAULT_COUNT } from './classifyFaults.ts';
import { priorRates } from './faultRates.ts';
import { createPosterior } from './posterior.ts';
import { createChain } from './sampler.ts';

/** What one car says of the constants of its shop, as seen by those that it was read by. */
export interface CarEvidence {
  /** Mean of each of the contract's CAR_TRAITS, and their covariance row by row. */
  mean: number[];
  covariance: number[];
  /**
   * Chance that the tires are what they are said to be, so that the traits mean what they say: 0 to 1. None
   * where the axles are known to have different tires.
   */
  weight: number;
  /** Chance of each kind of fault now that the car was read, and before. */
  faults: Record<FaultKind, { chance: number; prior: number }>;
}

const TRAIT_COUNT = 4;
const BURN_IN = 120;
/** Below this many draws a covariance of four traits says nothing. */
const LEAST_DRAWS = 50;

const of = (cause: Cause, where: string) =>
  FAULTS.flatMap((fault, column) =>
    fault.cause === cause && fault.where === where ? [column] : [],
  );
/** Columns of the fault matrix that each kind stands for. */
const COLUMNS_OF: Record<FaultKind, readonly number[]> = {
  frontToe: [...of('toeTooFarIn', 'front'), ...of('toeTooFarOut', 'front')],
  rearToe: [...of('toeTooFarIn', 'rear'), ...of('toeTooFarOut', 'rear')],
  camber: FAULTS.flatMap(({ cause }, column) => (cause.startsWith('camber') ? [column] : [])),
  pressure: PRESSURE_COLUMNS,
  bounce: BOUNCE_COLUMNS,
  looseness: LOOSENESS_COLUMNS,
  hardCornering: of('hardCornering', 'front'),
};

/**
 * Reads one car for what it says of its shop's constants.
 *
 * Whatever constants its case brings do not count, so that what is learned does not feed on what was learned
 * before. Traits are those of draws in which no tire is odd or of another age than said.
 * @param file - a case file that the contract's schema has accepted
 * @param by - constants to read it by; the usual ones when left out
 * @param sweeps - of the sampler; a thousand is plenty, as errors of single cars cancel
 * @returns null for a car whose tires say nothing of the traits: too few draws with tires as they were said to be
 * @throws {InputError} for a tire size that cannot be read
 */
export function carEvidence(
  file: CaseFile,
  sweeps: number,
  by?: ShopConstants,
): CarEvidence | null {
  const read = { ...file };
  if (by) read.constants = by;
  else delete read.constants;
  const resolved = resolveCase(read);
  const posterior = createPosterior(resolved);
  const random = createRandom(hashSeed(canonicalJson(file.tires)));
  const chain = createChain(posterior, random, 0);
  const readFaults = createFaultClassifier(resolved);
  for (let i = 0; i < BURN_IN; i++) chain.sweep();
  chain.settle();

  const faults = new Uint8Array(FAULT_COUNT);
  const counts = new Map<FaultKind, number>(FAULT_KINDS.map((kind) => [kind, 0]));
  const ribs = { factors: new Float64Array(12), lossMm: new Float64Array(12) };
  const rows: number[][] = [];
  const { state } = chain;
  for (let sweep = 0; sweep < sweeps; sweep++) {
    chain.sweep();
    readFaults(state, faults);
    for (const kind of FAULT_KINDS) {
      if (COLUMNS_OF[kind].some((column) => faults[column] === 1)) {
        counts.set(kind, counts.get(kind)! + 1);
      }
    }
    if (state[STATE.oddTire] !== 0 || state[STATE.otherAge] !== 0) continue;
    chain.drawNuisances(ribs);
    rows.push([
      state[STATE.logWearRate]!,
      (state[STATE.axleRate]! - state[STATE.axleRate + 1]!) / 2,
      state[STATE.crown]!,
      state[STATE.hand]!,
    ]);
  }
  if (rows.length < LEAST_DRAWS) return null;
  const rates = priorRates(resolved);
  const entries = FAULT_KINDS.map((kind) => [
    kind,
    {
      chance: (counts.get(kind)! + 0.5) / (sweeps + 1),
      prior: (1 - rates.wellKept) * rates[kind],
    },
  ]);
  return {
    ...momentsOf(rows),
    weight: resolved.history.tiresDiffer.includes('axles') ? 0 : rows.length / sweeps,
    faults: Object.fromEntries(entries) as CarEvidence['faults'],
  };
}

function momentsOf(rows: readonly number[][]): Pick<CarEvidence, 'mean' | 'covariance'> {
  const traits = Array.from({ length: TRAIT_COUNT }, (_, trait) => trait);
  const mean = traits.map((i) => rows.reduce((sum, row) => sum + row[i]!, 0) / rows.length);
  const covariance = traits.flatMap((i) =>
    traits.map(
      (j) =>
        rows.reduce((sum, row) => sum + (row[i]! - mean[i]!) * (row[j]! - mean[j]!), 0) /
        (rows.length - 1),
    ),
  );
  return { mean, covariance };
}
