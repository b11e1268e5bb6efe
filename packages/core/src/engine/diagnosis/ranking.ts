import type { RankedCause } from '@keen/contract';
import { FAULTS } from '../wear/faults.ts';
import type { Fault } from '../wear/faults.ts';

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
      ...reasonsFor(fault),
    }));
}
