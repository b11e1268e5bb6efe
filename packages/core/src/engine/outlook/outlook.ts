import type { Action, Axle, Check, Rib, Wheel } from '@keen/contract/words';
import { ACTIONS, AXLES, RIBS } from '@keen/contract/words';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { WHEEL_ORDER } from '../case/wheels.ts';
import {
  isAlignmentOut,
  isBouncing,
  isCamberOut,
  isLoose,
  isNeedless,
  isPressureOff,
  isPutRight,
  isSoft,
  isToeOut,
  stateAfter,
  statePutRight,
} from './courses.ts';
import type { PossibleCar } from './courses.ts';
import { depthCurve, HIGH, quantileOf, ribCurves, span } from './depthCurves.ts';
import type { DepthCurve, RibCurves, Span } from './depthCurves.ts';
import { createTiresAhead, FURTHEST_KM, KM_PER_THOUSAND_KM, lifeOf, RIB_COUNT } from './ribWear.ts';
import type { Wearing } from './ribWear.ts';

/** What one course of work lets a new set live. */
export interface CourseOutlook {
  course: Action;
  /** Distance until the first rib of the new set is at the limit, km. */
  lifeKm: Span;
  /** The rib that gets there first, most often. */
  first: { wheel: Wheel; rib: Rib };
  /** Chance that the work was not needed. */
  needless: number;
  /** Chance that a fault stays and the wear comes back. */
  comesBack: number;
  /** For each possible car, pairs of new tires that an axle uses up in a km. */
  pairsPerKm: Record<Axle, number[]>;
}

/** From here on a cause is likely enough to be named, and for work on parts to be advised. */
export const NAME_CAUSE_FROM = 0.3;

/** Why a course is left out of the weighing, whatever it would cost. */
export type Bar =
  /** What anyone can see on this tread would come back on the next one. */
  | 'seen'
  /** The same, though an alignment since may have put it right. */
  | 'seenBefore'
  /** A reading is taken again, or made up for, before anything is decided by it. */
  | 'readFirst'
  /** The angles have moved since they were last set. */
  | 'moved'
  /** Likely as it is that an angle is out, it is measured before it is set. */
  | 'measureFirst'
  /** They have been measured. */
  | 'measured'
  /** Measured, and in tolerance. */
  | 'inOrder'
  /** An angle was found out today. */
  | 'foundOut'
  /** Left and right were found to differ by what pulls the car. */
  | 'pull'
  /** A pressure is off the placard today. */
  | 'pressureFound'
  /** It would not answer what the driver reports. */
  | 'complaint'
  /** The tread does not show what was found out, so it is measured again before it is set. */
  | 'measureAgain'
  /** Excessive play was found by hand. */
  | 'partsFirst'
  /** It would leave what is told to have happened. */
  | 'said'
  /** A joint is likely loose: no setting holds, and it is dangerous. */
  | 'loose'
  /** Worn joints, dampers or wrong pressures need more than a suspicion. */
  | 'unlikely';

/** A check that has not been made, with the chance of each of its answers in each possible car. */
export interface CheckAnswers {
  check: Check;
  where: Wheel | Axle;
  /** One row a car. */
  chances: (readonly number[])[];
}

/** The wear model run ahead from what the tread says. */
export interface Forecast {
  limitMm: number;
  newDepthMm: number;
  courses: CourseOutlook[];
  /** What the old tires still run before the first rib is at the limit, km; null when none was read. */
  oldKm: Span | null;
  curves: { oldAsIs: DepthCurve | null; newAsIs: DepthCurve; newPutRight: DepthCurve };
  /** Each rib of the tires on the car, as the car is; null for a rib that was not read. */
  oldRibs: RibCurves | null;
  /** For each possible car, what of it is out. */
  cars: CarOut[];
  /** Whether every course that sets the angles has dampers and balance seen to first. */
  dampersFirst: boolean;
}

/** What of a possible car is out, as far as it bears on the price of the work. */
export interface CarOut {
  /** Any angle. */
  isOut: boolean;
  isLoose: boolean;
  isBouncing: boolean;
  isPressureOff: boolean;
  camberOut: readonly Wheel[];
  toeOut: readonly Axle[];
  soft: readonly Wheel[];
}

/** The forecast with what bears on choosing: courses left out, and what the open checks would say. */
export interface Outlook extends Forecast {
  bars: Partial<Record<Action, Bar>>;
  checks: CheckAnswers[];
}

/** Each rib by itself is forecast in steps of this, km. */
const OLD_STEP_KM = 5_000;
/** A tire that is new at its limit still has so much to wear, mm. */
const LEAST_SPARE_MM = 0.1;

/**
 * Runs the wear model ahead: what new tires like these would live after each course of work, and what
 * the old ones still run as the car is.
 *
 * A car that stays as it is wears a rib at a rate that falls with what is left of it, so a rib's life is its
 * depth above the limit over the rate half way there. A new tire brings a factor of its own and one for each
 * rib that nobody can know; those of an old tire are learned from its readings. The spread over the possible
 * cars and those factors is the interval.
 * @param cars - draws from the posterior of the case
 * @param dampersFirst - dampers and balance come before any alignment of this car
 * @returns what is needed to weigh the courses against one another; the same case gives the same one
 */
export function createOutlook(
  resolved: ResolvedCase,
  cars: readonly PossibleCar[],
  dampersFirst = false,
): Forecast {
  const limitMm = resolved.limitsMm.legal;
  const { newDepths, tiresIf } = createTiresAhead(resolved, cars);
  const asIs = tiresIf(({ state }) => state);
  const { fresh: putRight } = tiresIf((car) => statePutRight(car, resolved));
  const old = asIs.worn();
  const after = (course: Action) =>
    course === 'fitOnly' ? asIs : tiresIf((car) => stateAfter(course, car, resolved, dampersFirst));
  const furthest = Math.min(
    FURTHEST_KM,
    1.15 * quantileOf(newLives(putRight, limitMm).toSorted(), HIGH),
  );
  return {
    limitMm,
    newDepthMm: Math.min(...newDepths),
    courses: ACTIONS.map((course) => {
      const share = (holds: (car: PossibleCar) => boolean) =>
        cars.filter(holds).length / cars.length;
      return {
        course,
        ...livesOf(after(course).fresh, limitMm),
        needless: share((car) => isNeedless(course, car, dampersFirst)),
        comesBack: share((car) => !isPutRight(course, car, dampersFirst)),
      };
    }),
    oldKm: old && span(Float64Array.from(old, (tire) => lifeOf(tire, limitMm))),
    curves: {
      oldAsIs: old && depthCurve(old, newDepths, furthest),
      newAsIs: depthCurve(asIs.fresh, newDepths, furthest),
      newPutRight: depthCurve(putRight, newDepths, furthest),
    },
    oldRibs: old && ribCurves(old, newDepths, OLD_STEP_KM, 0),
    cars: cars.map((car) => ({
      isOut: isAlignmentOut(car),
      isLoose: isLoose(car, 0) || isLoose(car, 1),
      isBouncing: isBouncing(car),
      isPressureOff: isPressureOff(car),
      camberOut: WHEEL_ORDER.filter((_, wheel) => isCamberOut(car, wheel)),
      toeOut: AXLES.filter((_, axle) => isToeOut(car, axle)),
      soft: WHEEL_ORDER.filter((_, wheel) => isSoft(car, wheel)),
    })),
    dampersFirst,
  };
}

/** How long new tires live on each possible car, and where they are worn out first. */
function livesOf(
  tires: readonly Wearing[],
  limitMm: number,
): Pick<CourseOutlook, 'lifeKm' | 'first' | 'pairsPerKm'> {
  const counts = new Array<number>(RIB_COUNT).fill(0);
  const pairsPerKm: Record<Axle, number[]> = { front: [], rear: [] };
  for (const { depths, rates } of tires) {
    const worst = [0, 0];
    let first = 0;
    let most = 0;
    for (let at = 0; at < RIB_COUNT; at++) {
      const spare = Math.max(LEAST_SPARE_MM, depths[at]! - limitMm);
      const perKm = rates[at]! / KM_PER_THOUSAND_KM / spare;
      const axle = at < RIB_COUNT / 2 ? 0 : 1;
      if (perKm > worst[axle]!) worst[axle] = perKm;
      if (perKm > most) {
        most = perKm;
        first = at;
      }
    }
    counts[first]! += 1;
    pairsPerKm.front.push(Math.max(1 / FURTHEST_KM, worst[0]!));
    pairsPerKm.rear.push(Math.max(1 / FURTHEST_KM, worst[1]!));
  }
  const most = counts.indexOf(Math.max(...counts));
  return {
    lifeKm: span(newLives(tires, limitMm)),
    first: { wheel: WHEEL_ORDER[Math.floor(most / 3)]!, rib: RIBS[most % 3]! },
    pairsPerKm,
  };
}

/** Distance until the first rib of a new set is at the limit, for each possible car, km. */
function newLives(tires: readonly Wearing[], limitMm: number): Float64Array {
  return Float64Array.from(tires, (tire) => lifeOf(tire, limitMm, LEAST_SPARE_MM));
}
