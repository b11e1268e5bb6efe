import type { Diagnosis, RankedCause } from '@keen/contract';
import type { Cause } from '@keen/contract/words';
import { alikeByChance } from './alikeByChance.ts';
import { rubberTaken } from './rubberTaken.ts';
import type { RubberTaken } from './rubberTaken.ts';
import { headlinePlaces } from './verdict.ts';

/** One cause at the places where it is about as likely: low pressure in all four tires is one thing to say. */
export interface CauseGroup {
  cause: Cause;
  /** Its places, the one that took most first. */
  places: readonly RankedCause[];
  /** Chance at its likeliest place. */
  probability: number;
  /** What it took at the tire where it took most. */
  taken: RubberTaken;
}

/**
 * The causes as rows: the one of the headline first, then by the rubber they took as it is shown, then by
 * how likely they are.
 * @returns every cause that is ranked, each once
 */
export function causeGroups(diagnosis: Diagnosis): CauseGroup[] {
  const { ranked } = diagnosis;
  const headline = headlinePlaces(ranked);
  const rest = ranked.filter((one) => !headline.includes(one));
  const groups = alikeByChance(rest);
  if (headline.length > 0) groups.unshift(headline);
  const leads = ({ places }: CauseGroup) => (places === headline ? 1 : 0);
  const shownMm = ({ taken }: CauseGroup) => Math.round(10 * taken.partMm);
  return groups
    .map((places): CauseGroup => ({
      cause: places[0]!.cause,
      places,
      probability: Math.max(...places.map(({ probability }) => probability)),
      taken: rubberTaken(diagnosis, places),
    }))
    .toSorted(
      (a, b) => leads(b) - leads(a) || shownMm(b) - shownMm(a) || b.probability - a.probability,
    );
}
