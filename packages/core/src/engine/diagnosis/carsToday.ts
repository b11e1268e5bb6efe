import type { ResolvedCase } from '../case/resolveCase.ts';
import { align } from '../outlook/courses.ts';
import type { PossibleCar } from '../outlook/courses.ts';
import { createFaultClassifier } from './classifyFaults.ts';
import { historyFacts } from './historyFacts.ts';
import { rigReadings } from './rigReadings.ts';
import type { RigReading } from './rigReadings.ts';

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
  const measured = areAnglesRecent
    ? rigReadings(resolved).filter(({ degrees }) => degrees !== null)
    : [];
  if (!isAlignedLately && measured.length === 0) return cars;
  const classify = createFaultClassifier(resolved);
  return cars.map((car, i) => {
    const state = car.state.slice();
    if (isAlignedLately && i % ALIGNMENTS > 0) align(state, car, resolved.tolerances);
    for (const reading of measured) state[reading.element] = asCounted(reading.degrees!, reading);
    const faults = car.faults.slice();
    classify(state, faults);
    return { ...car, state, faults };
  });
}

/** A reading that is out by no more than the rig's own error counts as in, as it does in the advice. */
function asCounted(read: number, { limits: [low, high], error }: RigReading): number {
  if (read < low && read >= low - error) return low;
  if (read > high && read <= high + error) return high;
  return read;
}
