import type { Cupping, Drive, Feather, Play, Wheel } from '@keen/contract/words';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { WHEEL_ORDER } from '../case/wheels.ts';
import { exp, log } from '../math/elementary.ts';
import { logistic } from '../math/logistic.ts';
import { DRIVING_SLIP } from '../wear/constants.ts';
import { tireHistory } from '../wear/history.ts';
import { STATE } from '../wear/state.ts';
import { LOOSE_DEG } from '../wear/faults.ts';
import { complaintTerm, occasionTerm } from './complaintLikelihood.ts';
import type { EvidenceTerm } from './evidenceTerm.ts';
import { historyFacts } from './historyFacts.ts';

/** What the hand, the gauge on the valve and the rig said, as likelihoods. */

// Looked up once: some loaders resolve an imported name at every use, and this runs very often.
const AT = { ...STATE };
const SLIPS = DRIVING_SLIP;
const IS_LOOSE_FROM = LOOSE_DEG;

/** Feather is misfelt one time in twenty, and once more in thirty it is of a toe that is new. */
const MISFELT = 0.08;
/** A feather fades over this distance after a rotation. */
export const FEATHER_FADE_KM = 4000;
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
  /** An angle as it stood when the car left an earlier visit: something may have moved it since. */
  tailLeft: 0.15,
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

/**
 * Chance of no, some, heavy waves under the hand. Light waves are felt on many tires that never bounced; heavy ones
 * leave next to no doubt (common practice, no source).
 */
const WAVES = { healthy: [0.92, 0.078, 0.002], bouncing: [0.12, 0.42, 0.46] } as const;

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

/**
 * Chance of none, some, heavy for a tire that has or has not been bouncing.
 * @example waveChances(false) // [0.92, 0.078, 0.002]
 */
export function waveChances(bouncing: boolean): readonly number[] {
  return bouncing ? WAVES.bouncing : WAVES.healthy;
}

/**
 * Chances of none, some, excessive play at one wheel of an axle that is or is not loose.
 * @example playChances(false) // [0.96, 0.032, 0.008]
 */
export function playChances(loose: boolean): readonly [number, number, number] {
  const shows = loose ? PLAY_SHOWS : PLAY_BY_CHANCE;
  const excessive = loose ? PLAY_EXCESSIVE.loose : PLAY_EXCESSIVE.tight;
  return [1 - shows, shows * (1 - excessive), shows * excessive];
}

/**
 * Chance that a lock-to-lock repeat does not come back.
 * @example swingMovesChance(false) // 0.06
 */
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
    const term = toeTerm(resolved.angles, axle, angleTail(resolved));
    if (term) terms.push(term);
  }
  const left = leftTerm(resolved);
  if (left) terms.push(left);
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

/** The angles as they stood when the car left an earlier visit; one term, since terms are few. */
function leftTerm({ history: { leftAt } }: ResolvedCase): EvidenceTerm | null {
  const terms = WHEEL_ORDER.flatMap((wheel, tire) => {
    const { camber } = leftAt[wheel];
    const { camberSd, camberTailSd, tailLeft } = ANGLE;
    return camber === null
      ? []
      : [measured(camber, AT.camber + tire, camberSd, camberTailSd, tailLeft)];
  });
  for (const axle of [0, 1]) {
    const toe = toeTerm(leftAt, axle, ANGLE.tailLeft);
    if (toe) terms.push(toe);
  }
  if (terms.length === 0) return null;
  return {
    elements: [...new Set(terms.flatMap(({ elements }) => elements))],
    log: (state) => terms.reduce((sum, term) => sum + term.log(state), 0),
  };
}

function toeTerm(
  angles: Record<Wheel, { toe: number | null }>,
  axle: number,
  tail: number,
): EvidenceTerm | null {
  const left = angles[WHEEL_ORDER[2 * axle]!].toe;
  const right = angles[WHEEL_ORDER[2 * axle + 1]!].toe;
  if (left === null && right === null) return null;
  const both = left !== null && right !== null;
  const total = both ? left + right : 2 * (left ?? right ?? 0);
  const sd = both ? ANGLE.toeSd * Math.SQRT2 : OTHER_WHEEL_TOE_SD;
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
