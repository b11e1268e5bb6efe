import { STATE } from '../wear/state.ts';
import { tireLoss } from '../wear/tireLoss.ts';
import { FAULTS } from '../wear/faults.ts';
import { FAULT_COUNT } from './classifyFaults.ts';
import type { Posterior } from './posterior.ts';

/** What can take rubber beyond the base, in the order of the parts below. */
export const WEAR_PARTS = ['camber', 'toe', 'pressure', 'cornering', 'bounce'] as const;

/** The relative error of a constant that takes its term out of the model. */
const SWITCHED_OFF = -1;
/** A tire lost at least this part of what the formula says. */
const LEAST_FACTOR = 0.2;

/** Adds up over draws what each cause took. */
export interface Attribution {
  /** @param factors - what each of the twelve ribs lost against the formula, from tire and rib alone */
  add(state: Float64Array, faults: Uint8Array, factors?: Float64Array): void;
  /** Mean over the draws: for each tire its parts in the order of {@link WEAR_PARTS}, mm. */
  parts(): number[][];
  /** Mean modelled loss at the worst rib of each tire, mm. */
  modelled(): number[];
  /** Mean excess of each of the faults over the draws, mm. */
  excess(): number[];
}

/**
 * Says what took the rubber at the worst rib of each tire.
 *
 * Causes multiply one another, so what one of them took depends on the order they are put in. We
 * take the mean of putting it in first (all else at mid-tolerance) and last (all else as it is): the
 * two ends of Shapley's value (1953), at a fraction of its price.
 * @param worstRib - 0 inner, 1 centre, 2 outer for each tire; null takes the model's worst
 */
export function createAttribution(
  posterior: Posterior,
  worstRib: readonly (number | null)[],
): Attribution {
  const { healthy, paths } = posterior;
  const first = new Float64Array(healthy.length);
  const last = new Float64Array(healthy.length);
  const neutral = new Float64Array(healthy.length);
  const losses = new Float64Array(3);
  const parts = [0, 1, 2, 3].map(() => WEAR_PARTS.map(() => 0));
  const modelled = [0, 0, 0, 0];
  const excess = new Array<number>(FAULT_COUNT).fill(0);
  const ribs = [0, 0, 0, 0];
  const full = [0, 0, 0, 0];
  const base = [0, 0, 0, 0];
  const scale = [1, 1, 1, 1];
  let draws = 0;

  function lossAt(state: Float64Array, tire: number): number {
    tireLoss(state, paths[tire]!, losses);
    return losses[ribs[tire]!]!;
  }

  /** Mean of first-in and last-in for a group of elements at one tire; `first`/`last` are restored. */
  function took(state: Float64Array, tire: number, elements: readonly number[]): number {
    for (const element of elements) {
      first[element] = state[element]!;
      last[element] = neutral[element]!;
    }
    const amount = (lossAt(first, tire) - base[tire]! + full[tire]! - lossAt(last, tire)) / 2;
    for (const element of elements) {
      first[element] = neutral[element]!;
      last[element] = state[element]!;
    }
    return amount;
  }

  /** The uneven part only: cornering also wears all ribs alike, which is no fault of the car. */
  function tookByCorneringShare(state: Float64Array, tire: number): number {
    const withShare = full[tire]!;
    last[STATE.corneringShare] = SWITCHED_OFF;
    const without = lossAt(last, tire);
    last[STATE.corneringShare] = state[STATE.corneringShare]!;
    return withShare - without;
  }

  function add(state: Float64Array, faults: Uint8Array, factors?: Float64Array): void {
    draws++;
    neutral.set(state);
    for (const element of FAULT_ELEMENTS) neutral[element] = healthy[element]!;
    first.set(neutral);
    last.set(state);
    for (let tire = 0; tire < 4; tire++) {
      tireLoss(state, paths[tire]!, losses);
      ribs[tire] = worstRib[tire] ?? losses.indexOf(Math.max(...losses));
      full[tire] = losses[ribs[tire]!]!;
      base[tire] = lossAt(neutral, tire);
      scale[tire] = factors ? Math.max(LEAST_FACTOR, factors[3 * tire + ribs[tire]!]!) : 1;
      modelled[tire]! += full[tire]!;
      PART_ELEMENTS.forEach((elements, part) => {
        parts[tire]![part]! += took(state, tire, elements(tire));
      });
    }
    FAULTS.forEach((fault, column) => {
      if (faults[column] === 1 || counts(fault.cause, state, fault.index)) {
        excess[column]! += excessOf(fault.cause, fault.index, state);
      }
    });
  }

  /** In doubt counts too: every draw on the fault's side of the middle, in tolerance or not. */
  function counts(cause: string, state: Float64Array, index: number): boolean {
    const over = (offset: number) => state[offset + index]! - healthy[offset + index]!;
    switch (cause) {
      case 'camberTooNegative':
        return over(STATE.camber) < 0;
      case 'camberTooPositive':
        return over(STATE.camber) > 0;
      case 'toeTooFarOut':
        return over(STATE.toe) < 0;
      case 'toeTooFarIn':
        return over(STATE.toe) > 0;
      case 'pressureLow':
        return over(STATE.pressure) < 0;
      case 'pressureHigh':
        return over(STATE.pressure) > 0;
      case 'looseness':
        return true;
      case 'hardCornering':
        return state[STATE.cornering]! > 1;
      default:
        return false;
    }
  }

  function excessOf(cause: string, index: number, state: Float64Array): number {
    if (cause === 'hardCornering') {
      if (index === 1) return 0;
      let sum = 0;
      for (let tire = 0; tire < 4; tire++) sum += scale[tire]! * tookByCorneringShare(state, tire);
      return sum;
    }
    const element = elementOf(cause, index);
    let sum = 0;
    for (let tire = 0; tire < 4; tire++) {
      if (posterior.wears[element]! & (1 << tire))
        sum += scale[tire]! * took(state, tire, [element]);
    }
    return sum;
  }

  return {
    add,
    parts: () => parts.map((tire) => tire.map((sum) => sum / Math.max(1, draws))),
    modelled: () => modelled.map((sum) => sum / Math.max(1, draws)),
    excess: () => excess.map((sum) => sum / Math.max(1, draws)),
  };
}

function elementOf(cause: string, index: number): number {
  switch (cause) {
    case 'camberTooNegative':
    case 'camberTooPositive':
      return STATE.camber + index;
    case 'toeTooFarIn':
    case 'toeTooFarOut':
      return STATE.toe + index;
    case 'pressureLow':
    case 'pressureHigh':
      return STATE.pressure + index;
    case 'looseness':
      return STATE.looseness + index;
    default:
      return STATE.bounce + index;
  }
}

const CAMBERS = [0, 1, 2, 3].map((wheel) => STATE.camber + wheel);
const TOES = [STATE.toe, STATE.toe + 1, STATE.looseness, STATE.looseness + 1];

/** Elements of each part, in the order of {@link WEAR_PARTS}; loose joints count as toe. */
const PART_ELEMENTS: readonly ((tire: number) => readonly number[])[] = [
  () => CAMBERS,
  () => TOES,
  (tire) => [STATE.pressure + tire],
  () => [STATE.cornering],
  (tire) => [STATE.bounce + tire],
];

const FAULT_ELEMENTS = [
  ...CAMBERS,
  ...TOES,
  STATE.cornering,
  ...[0, 1, 2, 3].flatMap((tire) => [STATE.pressure + tire, STATE.bounce + tire]),
];
