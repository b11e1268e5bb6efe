import { COMPLAINTS } from '@keen/contract/words';
import type { Complaint, Cupping, Drive, Feather, Play } from '@keen/contract/words';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { WHEEL_ORDER } from '../case/wheels.ts';
import { exp, log } from '../math/elementary.ts';
import { DRIVING_SLIP } from '../wear/constants.ts';
import { tireHistory } from '../wear/history.ts';
import { STATE } from '../wear/state.ts';
import { LOOSE_DEG } from '../wear/faults.ts';
import { historyFacts } from './historyFacts.ts';

/** What the hand, the gauge on the valve, the rig and the customer said, as likelihoods. */

// Looked up once: some loaders resolve an imported name at every use, and this runs very often.
const AT = { ...STATE };
const SLIPS = DRIVING_SLIP;
const IS_LOOSE_FROM = LOOSE_DEG;

/** Feather is misfelt one time in twenty, and once more in thirty it is of a toe that is new. */
const MISFELT = 0.08;
/** A feather fades over this distance after a rotation. */
const FEATHER_FADE_KM = 4000;
/** Its edge is soft: sd of half the slip at which it becomes plain. */
const FEATHER_EDGE = 0.5;
/** Scale of the logistic curve that stands nearest to a normal of sd 1 (Johnson and Kotz). */
const LOGISTIC_SCALE = 1 / 1.702;

/** Each tire's reading beside what all four are off by together; and pressures that were set to the placard lately. */
const PRESSURE = { sd: 0.045, tail: 0.05, tailSd: 0.15, setRight: 0.12, setRightSd: 0.03 } as const;
const ANGLE = {
  camberSd: 0.1,
  toeSd: 0.04,
  /** Misread, or other than it was for most of the distance: a kerb, a part, an alignment since. */
  tail: 0.1,
  /** The same when one of those is known to have happened. */
  tailRecent: 0.4,
  /** The same where the car was aligned before most of this wear and nothing is known to have happened since. */
  tailAligned: 0.03,
  camberTailSd: 0.8,
  toeTailSd: 0.4,
} as const;
/** Toe of the axle when only one of its wheels was measured. */
const OTHER_WHEEL_TOE_SD = 0.25;

/** A loose axle shows play on at least one wheel seven times in ten; each wheel alone by this. */
const PLAY_SHOWS = 1 - Math.sqrt(0.3);
const PLAY_BY_CHANCE = 0.04;
/** Of the play that is found: the part called excessive, loose or not. */
const PLAY_EXCESSIVE = { loose: 0.5, tight: 0.2 } as const;

/** Chance of no, some, heavy waves under the hand. */
const WAVES = { healthy: [0.92, 0.072, 0.008], bouncing: [0.12, 0.44, 0.44] } as const;

/** Chance that the steering does not come back to the same reading, lock to lock. */
const SWING_MOVES = { loose: 0.75, tight: 0.06 } as const;

/** Where the feather of a tire comes from: weights of the axles it has been on, fading. */
export interface FeatherPath {
  front: number;
  rear: number;
}

/** Weights of front and rear toe in what the hand feels on a tire today. */
export function featherPath(resolved: ResolvedCase, tire: number): FeatherPath {
  const path = { front: 0, rear: 0 };
  for (const stretch of tireHistory(resolved, WHEEL_ORDER[tire]!)) {
    const end = exp(-stretch.endedAgoKm / FEATHER_FADE_KM);
    const start = exp(-(stretch.endedAgoKm + stretch.km) / FEATHER_FADE_KM);
    path[stretch.wheel === 'lf' || stretch.wheel === 'rf' ? 'front' : 'rear'] += end - start;
  }
  const sum = path.front + path.rear;
  return sum > 0 ? { front: path.front / sum, rear: path.rear / sum } : path;
}

/** Chances of none, catchesOutward, catchesInward, in that order, written to `out`. */
export function featherChances(
  state: Float64Array,
  path: FeatherPath,
  drive: Drive,
  out: Float64Array,
): void {
  const slips = SLIPS[drive];
  const toe = (path.front * state[AT.toe]! + path.rear * state[AT.toe + 1]!) / 2;
  const needed = (path.front * slips.front + path.rear * slips.rear) / 2;
  const scale = needed * FEATHER_EDGE * LOGISTIC_SCALE;
  const outward = logistic((toe - needed) / scale);
  const inward = logistic((-toe - needed) / scale);
  const none = Math.max(0, 1 - outward - inward);
  out[0] = none * (1 - MISFELT) + (1 - none) * (MISFELT / 2);
  out[1] = outward * (1 - MISFELT) + (1 - outward) * (MISFELT / 2);
  out[2] = inward * (1 - MISFELT) + (1 - inward) * (MISFELT / 2);
}

/** Chance of none, some, heavy for a tire that has or has not been bouncing. */
export function waveChances(bouncing: boolean): readonly number[] {
  return bouncing ? WAVES.bouncing : WAVES.healthy;
}

/** Chances of none, some, excessive play at one wheel of an axle that is or is not loose. */
export function playChances(loose: boolean): readonly [number, number, number] {
  const shows = loose ? PLAY_SHOWS : PLAY_BY_CHANCE;
  const excessive = loose ? PLAY_EXCESSIVE.loose : PLAY_EXCESSIVE.tight;
  return [1 - shows, shows * (1 - excessive), shows * excessive];
}

/** Chance that a lock-to-lock repeat does not come back. */
export function swingMovesChance(loose: boolean): number {
  return loose ? SWING_MOVES.loose : SWING_MOVES.tight;
}

const PLAY_COLUMN: Record<Exclude<Play, 'unknown'>, number> = { none: 0, some: 1, excessive: 2 };
const FEATHER_COLUMN: Record<Exclude<Feather, 'unknown'>, number> = {
  none: 0,
  catchesOutward: 1,
  catchesInward: 2,
};
const CUPPING_COLUMN: Record<Exclude<Cupping, 'unknown'>, number> = { none: 0, some: 1, heavy: 2 };

/** One observation's log likelihood, and the elements of the state that it depends on. */
export interface EvidenceTerm {
  elements: readonly number[];
  log: (state: Float64Array) => number;
}

/** The observations of a case other than the depths; what was not observed has no term. */
export function createObservationTerms(resolved: ResolvedCase): EvidenceTerm[] {
  const terms: EvidenceTerm[] = [];
  WHEEL_ORDER.forEach((wheel, tire) => {
    const { feather, cupping } = resolved.tires[wheel];
    if (feather !== 'unknown') terms.push(featherTerm(resolved, tire, FEATHER_COLUMN[feather]));
    if (cupping !== 'unknown') {
      const column = CUPPING_COLUMN[cupping];
      const healthy = log(WAVES.healthy[column]!);
      const bouncing = log(WAVES.bouncing[column]!);
      const element = AT.bounce + tire;
      terms.push({
        elements: [element],
        log: (state) => (state[element]! > 0.5 ? bouncing : healthy),
      });
    }
    const camber = resolved.angles[wheel].camber;
    if (camber !== null) {
      const { camberSd, camberTailSd } = ANGLE;
      terms.push(measured(camber, AT.camber + tire, camberSd, camberTailSd, angleTail(resolved)));
    }
    const play = resolved.play[wheel];
    if (play !== 'unknown') {
      const element = AT.looseness + (tire >> 1);
      const loose = log(playChances(true)[PLAY_COLUMN[play]]!);
      const tight = log(playChances(false)[PLAY_COLUMN[play]]!);
      terms.push({
        elements: [element],
        log: (state) => (state[element]! >= IS_LOOSE_FROM ? loose : tight),
      });
    }
  });
  const pressures = pressureTerm(resolved);
  if (pressures) terms.push(pressures);
  for (const axle of [0, 1]) {
    const term = toeTerm(resolved, axle);
    if (term) terms.push(term);
  }
  if (resolved.askedComplaints) terms.push(complaintTerm(resolved));
  if (resolved.history.occasions.length > 0) terms.push(occasionTerm(resolved));
  return terms;
}

function featherTerm(resolved: ResolvedCase, tire: number, column: number): EvidenceTerm {
  const path = featherPath(resolved, tire);
  const chances = new Float64Array(3);
  const axles = [path.front, path.rear].flatMap((weight, axle) => (weight > 0 ? [axle] : []));
  return {
    elements: axles.map((axle) => AT.toe + axle),
    log: (state) => {
      featherChances(state, path, resolved.drive, chances);
      return log(chances[column]!);
    },
  };
}

/**
 * The day's pressures about the running ones: each with an error of its own beside the gauge's, or all of
 * them set to the placard since, when they say nothing of what was.
 */
function pressureTerm(resolved: ResolvedCase): EvidenceTerm | null {
  const read = WHEEL_ORDER.flatMap((wheel, tire) => {
    const { pressureRatio } = resolved.tires[wheel];
    return pressureRatio === null ? [] : [{ ratio: pressureRatio, element: AT.pressure + tire }];
  });
  if (read.length === 0) return null;
  const { sd, tail, tailSd, setRight, setRightSd } = PRESSURE;
  const near = (1 - tail) / sd;
  const far = tail / tailSd;
  const nearHalf = -0.5 / (sd * sd);
  const farHalf = -0.5 / (tailSd * tailSd);
  const asSet = read.reduce<number>(
    (product, { ratio }) =>
      (product / setRightSd) * exp((-0.5 * (ratio - 1) * (ratio - 1)) / (setRightSd * setRightSd)),
    setRight,
  );
  const count = read.length;
  const ratios = Float64Array.from(read, ({ ratio }) => ratio);
  const elements = Int32Array.from(read, ({ element }) => element);
  return {
    elements: [AT.gauge, ...elements],
    log: (state) => {
      let product = 1 - setRight;
      const gauge = state[AT.gauge]!;
      for (let i = 0; i < count; i++) {
        const off = ratios[i]! - state[elements[i]!]! - gauge;
        const square = off * off;
        product *= near * exp(nearHalf * square) + far * exp(farHalf * square);
      }
      return log(product + asSet);
    },
  };
}

function toeTerm(resolved: ResolvedCase, axle: number): EvidenceTerm | null {
  const left = resolved.angles[WHEEL_ORDER[2 * axle]!].toe;
  const right = resolved.angles[WHEEL_ORDER[2 * axle + 1]!].toe;
  if (left === null && right === null) return null;
  const both = left !== null && right !== null;
  const total = both ? left + right : 2 * (left ?? right ?? 0);
  const sd = both ? ANGLE.toeSd * Math.SQRT2 : OTHER_WHEEL_TOE_SD;
  const tail = angleTail(resolved);
  const { toeTailSd } = ANGLE;
  const far = tail / toeTailSd;
  const farHalf = -0.5 / (toeTailSd * toeTailSd);
  const toe = AT.toe + axle;
  const looseness = AT.looseness + axle;
  return {
    elements: [toe, looseness],
    log: (state) => {
      const off = total - state[toe]!;
      const square = off * off;
      // Worn joints take up their play under way: the wheels run elsewhere than they stand on the rig.
      const variance = sd * sd + state[looseness]! * state[looseness]!;
      return log(
        ((1 - tail) / Math.sqrt(variance)) * exp((-0.5 * square) / variance) +
          far * exp(farHalf * square),
      );
    },
  };
}

/** Chance that an angle measured today is not what it was for most of the distance. */
function angleTail(resolved: ResolvedCase): number {
  const { areAnglesRecent, isAlignedBefore } = historyFacts(resolved);
  if (areAnglesRecent) return ANGLE.tailRecent;
  return isAlignedBefore ? ANGLE.tailAligned : ANGLE.tail;
}

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

function knownPull({ history, angles }: ResolvedCase): KnownPull {
  const { lf, rf } = angles;
  const onlyBraking = history.occasions.length === 1 && history.occasions[0] === 'braking';
  return {
    crossCasterDeg: lf.caster === null || rf.caster === null ? 0 : lf.caster - rf.caster,
    other: onlyBraking
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

function complaintTerm(resolved: ResolvedCase): EvidenceTerm {
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

/** A cross caster beyond half a degree pulls, 0.3 does not (common practice, no source). */
function pullChance(camberDeg: number, pressure: number, casterDeg: number, other: number): number {
  return (
    other +
    0.3 * logistic((camberDeg - 0.8) / 0.15) +
    0.25 * logistic((pressure - 0.15) / 0.03) +
    (casterDeg > 0 ? 0.25 * logistic((casterDeg - 0.5) / 0.06) : 0)
  );
}

/** Chances that trouble is said to show over bumps, and at a speed (common practice, no source). */
const OVER_BUMPS = { loose: 0.4, tight: 0.15 } as const;
const AT_A_SPEED = { bouncing: 0.6, quiet: 0.3 } as const;

/** When the trouble shows: over bumps speaks for loose joints, at a speed for balance and dampers. */
function occasionTerm({ history }: ResolvedCase): EvidenceTerm {
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

export function logistic(x: number): number {
  return 1 / (1 + exp(-x));
}

/** A reading of one element: normal with a heavier normal mixed in, up to a constant. */
function measured(
  reading: number,
  element: number,
  sd: number,
  tailSd: number,
  tail: number,
): EvidenceTerm {
  const near = (1 - tail) / sd;
  const far = tail / tailSd;
  const nearHalf = -0.5 / (sd * sd);
  const farHalf = -0.5 / (tailSd * tailSd);
  return {
    elements: [element],
    log: (state) => {
      const off = reading - state[element]!;
      const square = off * off;
      return log(near * exp(nearHalf * square) + far * exp(farHalf * square));
    },
  };
}
