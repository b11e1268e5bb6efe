import { COMPLAINTS } from '@keen/contract/words';
import type { Complaint } from '@keen/contract/words';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { log } from '../math/elementary.ts';
import { logistic } from '../math/logistic.ts';
import { LOOSE_DEG } from '../wear/faults.ts';
import { STATE } from '../wear/state.ts';
import type { EvidenceTerm } from './evidenceTerm.ts';
import { historyFacts } from './historyFacts.ts';

/** What the customer says of how the car drives, as likelihoods. */

// Looked up once: some loaders resolve an imported name at every use, and this runs very often.
const AT = { ...STATE };
const IS_LOOSE_FROM = LOOSE_DEG;

/** What is known of a pull beside camber and pressure. */
export interface KnownPull {
  /** Measured caster, left less right, degrees; 0 when not measured. The car pulls to the side with less. */
  crossCasterDeg: number;
  /** Chance of a pull from something else altogether. */
  other: number;
}
const NO_KNOWN_PULL: KnownPull = { crossCasterDeg: 0, other: 0.03 };
/** New tires pull by themselves now and then; a pull only while braking is the brakes'. */
const OTHER_PULL = { newTires: 0.2, braking: 0.3 } as const;

function knownPull(resolved: ResolvedCase): KnownPull {
  const { history, angles } = resolved;
  const { lf, rf } = angles;
  return {
    crossCasterDeg: lf.caster === null || rf.caster === null ? 0 : lf.caster - rf.caster,
    other: historyFacts(resolved).isOnlyBraking
      ? OTHER_PULL.braking
      : history.startedAfter.includes('newTires')
        ? OTHER_PULL.newTires
        : NO_KNOWN_PULL.other,
  };
}

/** Chance that a customer says this about a car in this state (common practice, no source). */
export function complaintChance(
  complaint: Complaint,
  state: Float64Array,
  toeRanges: readonly (readonly [number, number])[],
  pull: KnownPull = NO_KNOWN_PULL,
): number {
  const camberPull = state[AT.camber]! - state[AT.camber + 1]!;
  const pressurePull = state[AT.pressure + 1]! - state[AT.pressure]!;
  switch (complaint) {
    case 'pullsLeft':
      return pullChance(camberPull, pressurePull, -pull.crossCasterDeg, pull.other);
    case 'pullsRight':
      return pullChance(-camberPull, -pressurePull, pull.crossCasterDeg, pull.other);
    case 'wheelOffLeft':
    case 'wheelOffRight':
      return 0.04 + 0.12 * toeOut(state, toeRanges, 0) + 0.12 * toeOut(state, toeRanges, 1);
    case 'vibration':
      return isBouncing(state) ? 0.4 : 0.05;
    case 'noise':
      return isBouncing(state) ? 0.4 : 0.06;
    case 'wander':
      return isLoose(state) ? 0.35 : 0.04;
    case 'heavySteering':
      return state[AT.pressure]! + state[AT.pressure + 1]! < 1.7 ? 0.15 : 0.03;
    case 'noReturn':
      return isLoose(state) ? 0.06 : 0.04;
  }
}

/** Everything that the customer says or does not say, asked for all at once. */
export function complaintTerm(resolved: ResolvedCase): EvidenceTerm {
  const { front, rear } = resolved.tolerances.totalToe;
  const ranges = [front, rear] as const;
  const said = COMPLAINTS.map((complaint) => resolved.complaints.includes(complaint));
  const count = said.length;
  const ask = COMPLAINTS.map((complaint) => complaint);
  const pull = knownPull(resolved);
  return {
    elements: [
      ...[0, 1].flatMap((axle) => [AT.toe + axle, AT.looseness + axle]),
      ...[0, 1].flatMap((wheel) => [AT.camber + wheel, AT.pressure + wheel]),
      ...[0, 1, 2, 3].map((tire) => AT.bounce + tire),
    ],
    log: (state) => {
      let product = 1;
      for (let i = 0; i < count; i++) {
        const chance = complaintChance(ask[i]!, state, ranges, pull);
        product *= said[i]! ? chance : 1 - chance;
      }
      return log(product);
    },
  };
}

/** However much speaks for a pull, some drivers do not say so. */
const SURELY_PULLS = 0.9;

/** A cross caster beyond half a degree pulls, 0.3 does not (common practice, no source). */
function pullChance(camberDeg: number, pressure: number, casterDeg: number, other: number): number {
  const chance =
    other +
    0.3 * logistic((camberDeg - 0.8) / 0.15) +
    0.25 * logistic((pressure - 0.15) / 0.03) +
    0.25 * logistic((casterDeg - 0.5) / 0.06);
  return Math.min(SURELY_PULLS, chance);
}

/** Chances that trouble is said to show over bumps, and at a speed (common practice, no source). */
const OVER_BUMPS = { loose: 0.4, tight: 0.15 } as const;
const AT_A_SPEED = { bouncing: 0.6, quiet: 0.3 } as const;

/** When the trouble shows: over bumps speaks for loose joints, at a speed for balance and dampers. */
export function occasionTerm({ history }: ResolvedCase): EvidenceTerm {
  const bumps = history.occasions.includes('bumps');
  const speed = history.occasions.includes('speed');
  const logOf = (chance: number, said: boolean) => log(said ? chance : 1 - chance);
  const loose = logOf(OVER_BUMPS.loose, bumps);
  const tight = logOf(OVER_BUMPS.tight, bumps);
  const bouncing = logOf(AT_A_SPEED.bouncing, speed);
  const quiet = logOf(AT_A_SPEED.quiet, speed);
  return {
    elements: [AT.looseness, AT.looseness + 1, ...[0, 1, 2, 3].map((tire) => AT.bounce + tire)],
    log: (state) => (isLoose(state) ? loose : tight) + (isBouncing(state) ? bouncing : quiet),
  };
}

function toeOut(
  state: Float64Array,
  ranges: readonly (readonly [number, number])[],
  axle: number,
): number {
  const toe = state[AT.toe + axle]!;
  const [low, high] = ranges[axle]!;
  return toe < low || toe > high ? 1 : 0;
}

function isBouncing(state: Float64Array): boolean {
  for (let tire = 0; tire < 4; tire++) if (state[AT.bounce + tire]! > 0.5) return true;
  return false;
}

function isLoose(state: Float64Array): boolean {
  return state[AT.looseness]! >= IS_LOOSE_FROM || state[AT.looseness + 1]! >= IS_LOOSE_FROM;
}
