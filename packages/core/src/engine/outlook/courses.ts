import type { Action } from '@keen/contract/words';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { ALIGNMENT_COLUMNS, FAULT_COLUMN } from '../wear/faults.ts';
import { STATE } from '../wear/state.ts';

/** What may be true of a car: every unknown, and what of it is out. */
export interface PossibleCar {
  /** See the engine's STATE. */
  state: Float64Array;
  /** See the engine's FAULTS. */
  faults: Uint8Array;
  /** What each of the twelve ribs on the car loses against the formula, from tire and rib alone. */
  factors: Float64Array;
  /** What each of them has truly lost, mm: its reading without the error. */
  lossMm: Float64Array;
}

/** Whether any camber or toe is out of tolerance. */
export function isAlignmentOut({ faults }: PossibleCar): boolean {
  return ALIGNMENT_COLUMNS.some((column) => faults[column] === 1);
}

/** Whether the camber of a wheel, 0 to 3, is out of tolerance, to either side. */
export function isCamberOut({ faults }: PossibleCar, wheel: number): boolean {
  return (
    faults[FAULT_COLUMN.camberTooNegative + wheel] === 1 ||
    faults[FAULT_COLUMN.camberTooPositive + wheel] === 1
  );
}

/** Whether the total toe of an axle, 0 or 1, is out of tolerance, to either side. */
export function isToeOut({ faults }: PossibleCar, axle: number): boolean {
  return (
    faults[FAULT_COLUMN.toeTooFarIn + axle] === 1 || faults[FAULT_COLUMN.toeTooFarOut + axle] === 1
  );
}

/** Whether the tire of a wheel, 0 to 3, has run too soft. */
export function isSoft({ faults }: PossibleCar, wheel: number): boolean {
  return faults[FAULT_COLUMN.pressureLow + wheel] === 1;
}

/** Whether the joints of an axle let its toe wander. */
export function isLoose({ faults }: PossibleCar, axle: 0 | 1): boolean {
  return faults[FAULT_COLUMN.looseness + axle] === 1;
}

export function isBouncing({ faults }: PossibleCar): boolean {
  return [0, 1, 2, 3].some((wheel) => faults[FAULT_COLUMN.bounce + wheel] === 1);
}

export function isPressureOff({ faults }: PossibleCar): boolean {
  return [0, 1, 2, 3].some(
    (wheel) =>
      faults[FAULT_COLUMN.pressureLow + wheel] === 1 ||
      faults[FAULT_COLUMN.pressureHigh + wheel] === 1,
  );
}

/** Courses that set the angles, or do once they are measured. */
export const ALIGNING: readonly Action[] = ['checkAlignment', 'align', 'partsThenAlign'];

/**
 * Whether a course has dampers and balance seen to.
 * @param dampersFirst - they come before any alignment of this car
 */
export function seesToDampers(course: Action, dampersFirst: boolean): boolean {
  return course === 'balanceOrDampers' || (dampersFirst && ALIGNING.includes(course));
}

/**
 * How the car stands after a course of work. Every course but fitting alone sets the pressures. An
 * alignment brings camber and toe to the middle of their tolerance; on an axle with loose joints its toe
 * does not hold. Measuring first aligns what is found to be out, and leaves the rest.
 * @param dampersFirst - dampers and balance come before any alignment of this car
 * @returns a state of its own
 */
export function stateAfter(
  course: Action,
  car: PossibleCar,
  { tolerances }: Pick<ResolvedCase, 'tolerances'>,
  dampersFirst = false,
): Float64Array {
  const state = car.state.slice();
  if (course === 'fitOnly') return state;
  for (let wheel = 0; wheel < 4; wheel++) state[STATE.pressure + wheel] = 1;
  if (seesToDampers(course, dampersFirst)) state.fill(0, STATE.bounce, STATE.bounce + 4);
  switch (course) {
    case 'inflateAndWatch':
    case 'balanceOrDampers':
      return state;
    case 'checkAlignment':
      if (isAlignmentOut(car)) align(state, car, tolerances);
      return state;
    case 'align':
      align(state, car, tolerances);
      return state;
    case 'partsThenAlign':
      for (let axle = 0; axle < 2; axle++) state[STATE.looseness + axle] = 0;
      align(state, null, tolerances);
      return state;
  }
}

/** How the car stands with everything done that wears tires: joints, angles, pressures, bounce. */
export function statePutRight(
  car: PossibleCar,
  resolved: Pick<ResolvedCase, 'tolerances'>,
): Float64Array {
  return stateAfter('partsThenAlign', car, resolved, true);
}

/**
 * Brings camber and toe to the middle of their tolerance.
 * @param state - is changed
 * @param car - whose loose joints let the toe go again; null once they were replaced
 */
export function align(
  state: Float64Array,
  car: PossibleCar | null,
  { camber, totalToe }: ResolvedCase['tolerances'],
): void {
  const axles = ['front', 'rear'] as const;
  for (const axle of [0, 1] as const) {
    const name = axles[axle];
    state[STATE.camber + 2 * axle] = middle(camber[name]);
    state[STATE.camber + 2 * axle + 1] = middle(camber[name]);
    if (car === null || !isLoose(car, axle)) state[STATE.toe + axle] = middle(totalToe[name]);
  }
}

function middle([low, high]: readonly [number, number]): number {
  return (low + high) / 2;
}

/** Whether a course leaves the car without a fault that wears tires. */
export function isPutRight(course: Action, car: PossibleCar, dampersFirst = false): boolean {
  const loose = isLoose(car, 0) || isLoose(car, 1);
  if (loose && course !== 'partsThenAlign') return false;
  if (isAlignmentOut(car) && !ALIGNING.includes(course)) return false;
  if (isBouncing(car) && !seesToDampers(course, dampersFirst)) return false;
  return course !== 'fitOnly' || !isPressureOff(car);
}

/** Whether a course does work that this car does not need. */
export function isNeedless(course: Action, car: PossibleCar, dampersFirst = false): boolean {
  if (seesToDampers(course, dampersFirst) && isBouncing(car)) return false;
  switch (course) {
    case 'fitOnly':
      return false;
    case 'inflateAndWatch':
      return !isPressureOff(car);
    case 'checkAlignment':
    case 'align':
      return !isAlignmentOut(car);
    case 'partsThenAlign':
      return !isLoose(car, 0) && !isLoose(car, 1);
    case 'balanceOrDampers':
      return true;
  }
}
