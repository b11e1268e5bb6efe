import type { NextCheck } from '@keen/contract';
import type { Check } from '@keen/contract/words';
import { RIBS } from '@keen/contract/words';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { WHEEL_ORDER, WHEELS_OF_AXLE } from '../case/wheels.ts';
import { exp, log } from '../math/elementary.ts';
import { NOISE } from '../wear/constants.ts';
import { STATE } from '../wear/state.ts';
import { tireLoss } from '../wear/tireLoss.ts';
import { LOOSE_DEG } from '../wear/faults.ts';
import {
  featherChances,
  featherPath,
  playChances,
  swingMovesChance,
  waveChances,
} from './observationLikelihood.ts';
import type { CheckAnswers } from '../outlook/outlook.ts';
import type { Posterior } from './posterior.ts';
import { normalCdf } from '../math/normal.ts';

/** A draw kept for looking ahead: the state and what is out in it. */
export interface Draw {
  state: Float64Array;
  faults: Uint8Array;
  /** What each of the twelve ribs loses against the formula, from tire and rib alone. */
  factors: Float64Array;
  /** What each has truly lost, mm. */
  lossMm: Float64Array;
}

/** Chances of each answer of a check, given a state. */
type Outcomes = (state: Float64Array) => readonly number[];

const AXLE_NAMES = ['front', 'rear'] as const;
/** Checks that would tell less than this are not worth a person's time, bits. */
const LEAST_GAIN_BITS = 0.005;

const LN2 = 0.6931471805599453;
const PRESSURE_SD = 0.055;
const CAMBER_SD = 0.11;
const TOE_SD = 0.06;

/** The checks that have not been made, looked ahead at. */
export function checkAnswers(
  resolved: ResolvedCase,
  posterior: Posterior,
  draws: readonly Draw[],
): CheckAnswers[] {
  return candidates(resolved, posterior, draws).map(({ check, where, outcomes }) => ({
    check,
    where,
    chances: draws.map(({ state }) => outcomes(state)),
  }));
}

/**
 * What would settle most: for every check that has not been made, the expected drop in the summed
 * uncertainty of the faults, in bits.
 *
 * gain = sum over faults of the mutual information between fault and answer, computed from the draws
 * and the chance of each answer in each of them (Lindley 1956, expected information of an experiment).
 * @returns checks from the most telling to the least
 */
export function nextChecks(answers: readonly CheckAnswers[], draws: readonly Draw[]): NextCheck[] {
  const checks = answers.map(({ check, where, chances }) => ({
    check,
    where,
    gain: expectedGain(draws, chances),
  }));
  return checks.filter(({ gain }) => gain >= LEAST_GAIN_BITS).toSorted((a, b) => b.gain - a.gain);
}

interface Candidate {
  check: Check;
  where: NextCheck['where'];
  outcomes: Outcomes;
}

function candidates(
  resolved: ResolvedCase,
  posterior: Posterior,
  draws: readonly Draw[],
): Candidate[] {
  const list: Candidate[] = [];
  const { tolerances } = resolved;
  WHEEL_ORDER.forEach((where, tire) => {
    const record = resolved.tires[where];
    if (record.feather === 'unknown') {
      const path = featherPath(resolved, tire);
      const chances = new Float64Array(3);
      list.push({
        check: 'feelFeather',
        where,
        outcomes: (state) => {
          featherChances(state, path, resolved.drive, chances);
          return [...chances];
        },
      });
    }
    if (record.cupping === 'unknown') {
      list.push({
        check: 'feelWaves',
        where,
        outcomes: (state) => waveChances(state[STATE.bounce + tire]! > 0.5),
      });
    }
    if (record.pressureRatio === null) {
      const edges = [-2, -1, 1, 2].map((step) => 1 + step * tolerances.pressure);
      list.push({
        check: 'checkPressure',
        where,
        outcomes: (state) => binned(state[STATE.pressure + tire]!, PRESSURE_SD, edges),
      });
    }
    RIBS.forEach((rib, index) => {
      if (record.readMm[rib].length > 0) return;
      list.push({
        check: 'readRib',
        where,
        outcomes: ribOutcomes(resolved, posterior, tire, index, draws),
      });
    });
  });
  AXLE_NAMES.forEach((where, axle) => {
    const unknown = WHEELS_OF_AXLE[where].filter((wheel) => resolved.play[wheel] === 'unknown');
    if (unknown.length > 0) {
      const loose = worstOf(playChances(true), unknown.length === 2 ? 2 : 1);
      const tight = worstOf(playChances(false), unknown.length === 2 ? 2 : 1);
      list.push({
        check: 'checkPlay',
        where,
        outcomes: (state) => (state[STATE.looseness + axle]! >= LOOSE_DEG ? loose : tight),
      });
    }
    const measured = WHEELS_OF_AXLE[where].every((wheel) => resolved.angles[wheel].toe !== null);
    if (!measured) {
      const camber = tolerances.camber[where];
      const toe = tolerances.totalToe[where];
      list.push({
        check: 'measureAngles',
        where,
        outcomes: (state) =>
          product(
            binned(state[STATE.camber + 2 * axle]!, CAMBER_SD, camber),
            binned(state[STATE.camber + 2 * axle + 1]!, CAMBER_SD, camber),
            binned(state[STATE.toe + axle]!, TOE_SD, toe),
          ),
      });
    }
  });
  const moves = swingMovesChance(true);
  const stays = swingMovesChance(false);
  list.push({
    check: 'swingRepeat',
    where: 'front',
    outcomes: (state) =>
      state[STATE.looseness]! >= LOOSE_DEG ? [moves, 1 - moves] : [stays, 1 - stays],
  });
  return list;
}

/** A rib not read yet, as five bins of its predicted loss. */
function ribOutcomes(
  resolved: ResolvedCase,
  posterior: Posterior,
  tire: number,
  rib: number,
  draws: readonly Draw[],
): Outcomes {
  const loss = new Float64Array(3);
  const lossOf = (state: Float64Array) => {
    tireLoss(state, posterior.paths[tire]!, loss);
    return loss[rib]!;
  };
  const sorted = draws.map((draw) => lossOf(draw.state)).toSorted((a, b) => a - b);
  const edges = [0.2, 0.4, 0.6, 0.8].map((part) => sorted[Math.floor(part * sorted.length)] ?? 0);
  const ribVar = NOISE.rib * NOISE.rib;
  const fixedVar = NOISE.newDepthMm ** 2 + resolved.reading.sdMm ** 2;
  return (state) => {
    const mean = lossOf(state);
    const scale = exp(2 * state[STATE.noise]!);
    return binned(mean, Math.sqrt(ribVar * scale * mean * mean + fixedVar), edges);
  };
}

/** Chances that a normal reading falls between the edges. */
function binned(mean: number, sd: number, edges: readonly number[]): number[] {
  const below = edges.map((edge) => normalCdf((edge - mean) / sd));
  return [...below, 1].map((chance, i) => Math.max(0, chance - (below[i - 1] ?? 0)));
}

function product(a: readonly number[], b: readonly number[], c: readonly number[]): number[] {
  return a.flatMap((x) => b.flatMap((y) => c.map((z) => x * y * z)));
}

/** The worst finding over one or two wheels, each with the same chances. */
function worstOf([none, some]: readonly [number, number, number], wheels: 1 | 2): number[] {
  const noneOfAll = wheels === 2 ? none * none : none;
  const atMostSome = wheels === 2 ? (none + some) * (none + some) : none + some;
  return [noneOfAll, atMostSome - noneOfAll, 1 - atMostSome];
}

function expectedGain(draws: readonly Draw[], chancesOf: CheckAnswers['chances']): number {
  const first = draws[0];
  if (!first) return 0;
  const answers = chancesOf[0]!.length;
  const columns = first.faults.length;
  const total = new Float64Array(answers);
  const withFault = new Float64Array(answers * columns);
  const prevalence = new Float64Array(columns);
  for (const [draw, { faults }] of draws.entries()) {
    const chances = chancesOf[draw]!;
    for (let a = 0; a < answers; a++) total[a]! += chances[a]!;
    for (let column = 0; column < columns; column++) {
      if (faults[column] === 0) continue;
      prevalence[column]!++;
      for (let a = 0; a < answers; a++) withFault[column * answers + a]! += chances[a]!;
    }
  }
  let gain = 0;
  // Hard cornering stands in both axles' columns; its second copy would count twice.
  for (let column = 0; column < columns - 1; column++) {
    gain += entropyBits(prevalence[column]! / draws.length);
    for (let a = 0; a < answers; a++) {
      if (total[a]! === 0) continue;
      const chance = withFault[column * answers + a]! / total[a]!;
      gain -= (total[a]! / draws.length) * entropyBits(chance);
    }
  }
  return Math.max(0, gain);
}

function entropyBits(p: number): number {
  if (p <= 0 || p >= 1) return 0;
  return -(p * log(p) + (1 - p) * log(1 - p)) / LN2;
}
