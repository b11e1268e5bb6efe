import { axleOf, WHEEL_ORDER } from '../case/wheels.ts';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { align } from '../outlook/courses.ts';
import type { PossibleCar } from '../outlook/courses.ts';
import { STATE } from '../wear/state.ts';
import { CAMBER_ERROR, TOTAL_TOE_ERROR } from './chooseAction.ts';
import { createFaultClassifier } from './classifyFaults.ts';
import { historyFacts } from './historyFacts.ts';

/** Of five alignments four hold (common practice, no source). */
const ALIGNMENTS = 5;

/**
 * The possible cars as they stand today, where their angles were set or knocked late in the tires' life: what the next
 * set will wear by is not what wore this one. A measured angle is what was measured; on a car that was aligned after
 * most of the wear the others stand as an alignment leaves them, on four cars of five.
 * @param cars - draws from the posterior, which speaks of the tires' life
 * @returns cars of their own with other cambers, toes and faults; the same cars where nothing has changed lately
 */
export function carsToday(
  resolved: ResolvedCase,
  cars: readonly PossibleCar[],
): readonly PossibleCar[] {
  const { areAnglesRecent, isAlignedLately } = historyFacts(resolved);
  const measured = areAnglesRecent ? measuredAngles(resolved) : [];
  if (!isAlignedLately && measured.length === 0) return cars;
  const classify = createFaultClassifier(resolved);
  return cars.map((car, i) => {
    const state = car.state.slice();
    if (isAlignedLately && i % ALIGNMENTS > 0) align(state, car, resolved.tolerances);
    for (const [at, degrees] of measured) state[at] = degrees;
    const faults = car.faults.slice();
    classify(state, faults);
    return { ...car, state, faults };
  });
}

/** An element of the state and its angle, degrees. */
type Angle = readonly [at: number, degrees: number];

function measuredAngles({ angles, tolerances }: ResolvedCase): readonly Angle[] {
  const toeOf = (axle: 'front' | 'rear', left: number | null, right: number | null): Angle[] => {
    if (left === null || right === null) return [];
    const read = within(left + right, tolerances.totalToe[axle], TOTAL_TOE_ERROR);
    return [[STATE.toe + (axle === 'front' ? 0 : 1), read]];
  };
  return [
    ...WHEEL_ORDER.flatMap((wheel, i): Angle[] => {
      const { camber } = angles[wheel];
      if (camber === null) return [];
      return [[STATE.camber + i, within(camber, tolerances.camber[axleOf(wheel)], CAMBER_ERROR)]];
    }),
    ...toeOf('front', angles.lf.toe, angles.rf.toe),
    ...toeOf('rear', angles.lr.toe, angles.rr.toe),
  ];
}

/** A reading that is out by no more than the rig's own error counts as in, as it does in the advice. */
function within(read: number, [low, high]: readonly [number, number], error: number): number {
  if (read < low && read >= low - error) return low;
  if (read > high && read <= high + error) return high;
  return read;
}
