import type { Axle, FaultKind } from '@keen/contract/words';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { historyFacts } from './historyFacts.ts';
import type { HistoryFacts } from './historyFacts.ts';

/**
 * The cars that come in. A fifth are always well kept; in the others the faults come independently.
 * The rates are those of the trade (common practice, no source); over all cars front toe is out on
 * 30 %, rear toe 15 %, camber 25 %, pressure 25 %, cups 10 %, loose joints 10 %, hard cornering 10 %.
 */
export const WELL_KEPT = 0.2;
export const FAULT_RATE = {
  frontToe: 0.3,
  rearToe: 0.15,
  camber: 0.25,
  pressure: 0.25,
  bounce: 0.1,
  looseness: 0.1,
  hardCornering: 0.1,
} as const;

export const CAMBER_NEGATIVE = 2 / 3;
const HARD_CORNERING_ON_TRACK = 0.6;
/** How many drivers of each kind corner hard (common practice, no source). */
const HARD_CORNERING_BY_DRIVER = {
  gentle: 0.03,
  usual: FAULT_RATE.hardCornering,
  hard: 0.4,
} as const;
/** A changed ride height, a load or a knock makes an angle out likelier; leaned on weakly. */
const HEIGHT_FACTOR = 1.5;
const KNOCK_FACTOR = 1.5;
/** Of camber that is out on a car that has sunk, the part that is too negative. */
const NEGATIVE_WHEN_SUNK = 0.85;
/** The same when lifted, by the arms that carry the wheel: struts lean out, two arms lean in. */
const NEGATIVE_WHEN_LIFTED = { strut: 0.45, twoArms: 0.8 } as const;
/** Aligned before most of this wear: the angles are likelier right, and what moves them likelier worn. */
const ALIGNED_BEFORE = { angles: 0.5, looseness: 2 } as const;
/** What was put right when this wear began is likelier right still (common practice, no source). */
const PUT_RIGHT = { pressures: 0.6, parts: 0.4, balance: 0.4 } as const;
const HIGHEST_RATE = 0.8;

/** What the draws of a simulator and the prior density share. */
export interface PriorRates {
  wellKept: number;
  /** Given not well kept. */
  frontToe: number;
  rearToe: number;
  camber: number;
  camberNegative: [number, number];
  pressure: number;
  bounce: number;
  looseness: number;
  hardCornering: number;
}

/** The rates for this car, given that it is not one of the well kept. */
export function priorRates(resolved: ResolvedCase): PriorRates {
  const rest = 1 - WELL_KEPT;
  const facts = historyFacts(resolved);
  const onTrack = resolved.use === 'track' || resolved.use === 'drift';
  const knocked = facts.isKnocked ? KNOCK_FACTOR : 1;
  const aligned = facts.isAlignedBefore ? ALIGNED_BEFORE : { angles: 1, looseness: 1 };
  const put = (what: keyof typeof PUT_RIGHT) =>
    facts.putRight.includes(what) ? PUT_RIGHT[what] : 1;
  // With new joints wear that comes back is no sign of worn ones.
  const joints = facts.putRight.includes('parts') ? PUT_RIGHT.parts : aligned.looseness;
  const { stands, isHeightChanged } = facts;
  const moved = isHeightChanged || stands.front !== 'asBuilt' || stands.rear !== 'asBuilt';
  const usual = resolved.constants?.faultRates ?? FAULT_RATE;
  const rate = (kind: FaultKind, factor: number) =>
    Math.min(HIGHEST_RATE, (usual[kind] / rest) * factor);
  const cornering = usual.hardCornering / FAULT_RATE.hardCornering;
  return {
    wellKept: WELL_KEPT,
    frontToe: rate('frontToe', knocked * aligned.angles),
    rearToe: rate('rearToe', knocked * aligned.angles),
    camber: rate('camber', (moved ? HEIGHT_FACTOR : 1) * knocked * aligned.angles),
    camberNegative: [
      negativeShare(resolved, facts, 'front'),
      negativeShare(resolved, facts, 'rear'),
    ],
    pressure: rate('pressure', put('pressures')),
    bounce: rate('bounce', put('balance')),
    looseness: rate('looseness', joints),
    hardCornering: onTrack
      ? HARD_CORNERING_ON_TRACK
      : Math.min(
          HIGHEST_RATE,
          (HARD_CORNERING_BY_DRIVER[resolved.history.driver] / rest) * cornering,
        ),
  };
}

function negativeShare(resolved: ResolvedCase, { stands }: HistoryFacts, axle: Axle): number {
  if (stands[axle] === 'lower') return NEGATIVE_WHEN_SUNK;
  const suspension = resolved.history.suspension[axle];
  return stands[axle] === 'higher' && (suspension === 'strut' || suspension === 'twoArms')
    ? NEGATIVE_WHEN_LIFTED[suspension]
    : CAMBER_NEGATIVE;
}
