import type { RankedCause } from '@keen/contract';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { WHEEL_ORDER, wheelsAt } from '../case/wheels.ts';
import { FAULTS } from '../wear/faults.ts';
import type { Fault } from '../wear/faults.ts';
import { tiresWornAt } from '../wear/history.ts';

/** A cause is listed from this probability or this excess on. */
const LIST_PROBABILITY = 0.03;
const LIST_EXCESS_MM = 0.05;

/** For and against a fault, in sentences and as codes. */
export type ReasonsFor = (fault: Fault) => Pick<RankedCause, 'because' | 'against' | 'codes'>;

/**
 * The causes worth listing, most excess first.
 * @param probabilities - chance of each of {@link FAULTS}
 * @param excess - what each took beyond mid-tolerance, mm
 */
export function rank(
  resolved: ResolvedCase,
  reasonsFor: ReasonsFor,
  probabilities: readonly number[],
  excess: readonly number[],
): RankedCause[] {
  return FAULTS.map((fault, column) => ({
    fault,
    probability: probabilities[column]!,
    excess: excess[column]!,
  }))
    .filter(
      ({ fault, probability, excess: mm }) =>
        // The rear repeats the front's cornering: one driver, one cause.
        !(fault.cause === 'hardCornering' && fault.where === 'rear') &&
        (probability >= LIST_PROBABILITY || mm >= LIST_EXCESS_MM),
    )
    .toSorted((a, b) => b.excess - a.excess || b.probability - a.probability)
    .map(({ fault, probability, excess: mm }) => ({
      cause: fault.cause,
      where: fault.where,
      probability,
      excess: Math.max(0, mm),
      ...carriedElsewhere(resolved, fault),
      ...reasonsFor(fault),
    }));
}

/** The tires that carry the wear of a cause, where they have been moved since. */
function carriedElsewhere(
  resolved: ResolvedCase,
  { cause, where }: Fault,
): Pick<RankedCause, 'tires'> {
  // A pressure and a wheel out of balance go with the tire; one driver wears all four.
  if (cause === 'hardCornering' || cause.startsWith('pressure') || cause === 'bounce') return {};
  const places = wheelsAt(where);
  const carriers = new Set(places.flatMap((place) => tiresWornAt(resolved, place)));
  const isInPlace = carriers.size === places.length && places.every((place) => carriers.has(place));
  return isInPlace ? {} : { tires: WHEEL_ORDER.filter((wheel) => carriers.has(wheel)) };
}
