import type { RankedCause } from '@keen/contract';
import type { Cause } from '@keen/contract/words';
import { headlineCause } from './verdict.ts';

/** One cause with every place where it may be: pressure in all four tires is one thing to say, not four. */
export interface CauseGroup {
  cause: Cause;
  /** Its places, the one that took most first. */
  places: readonly RankedCause[];
  /** Chance at its likeliest place. */
  probability: number;
  /** What it took at all of them, mm. */
  excess: number;
}

/** Places less likely than this are not spoken of with the others of their cause. */
const WITH_OTHERS_FROM = 0.08;

/**
 * The causes as rows: the one of the headline first, then by the rubber they took.
 * @returns every cause that is ranked, each once; places too unlikely to be named are left out of groups
 * that have likelier ones
 */
export function causeGroups(ranked: readonly RankedCause[]): CauseGroup[] {
  const headline = headlineCause(ranked);
  const causes = [...new Set(ranked.map(({ cause }) => cause))];
  return causes
    .map((cause): CauseGroup => {
      const all = ranked.filter((one) => one.cause === cause);
      const likely = all.filter(({ probability }) => probability >= WITH_OTHERS_FROM);
      const places = likely.length > 0 ? likely : all.slice(0, 1);
      return {
        cause,
        places,
        probability: Math.max(...places.map(({ probability }) => probability)),
        excess: places.reduce((sum, { excess }) => sum + excess, 0),
      };
    })
    .toSorted(
      (a, b) =>
        Number(b.cause === headline?.cause) - Number(a.cause === headline?.cause) ||
        b.excess - a.excess,
    );
}
