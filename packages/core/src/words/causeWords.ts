import type { Axle, Cause, Wheel } from '@keen/contract/words';
import { ENGLISH } from './english.ts';
import { hundredIn, sureIn } from './texts.ts';

/** The app's own words; papers for customers ask the texts of their language. */

/** A cause in the trade's words. */
export function causeWords(cause: Cause): string {
  return ENGLISH.causes[cause];
}

/** A wheel or axle in words. */
export function whereWords(where: Wheel | Axle): string {
  return ENGLISH.places[where];
}

/** How sure, in words that keep to the same bands everywhere. */
export function sureWords(probability: number): string {
  return sureIn(ENGLISH, probability);
}

/** A probability as people say it: never 0 or 100. */
export function inHundred(probability: number): string {
  return hundredIn(ENGLISH, probability);
}
