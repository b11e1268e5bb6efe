import type { Axle, Cause, Wheel } from '@keen/contract/words';
import { ENGLISH } from './english.ts';
import { hundredIn, sureIn } from './texts.ts';

/** The app's own words; papers for customers ask the texts of their language. */

/**
 * A cause in the trade's words.
 * @example causeWords('toeTooFarIn') // 'Too much toe-in'
 */
export function causeWords(cause: Cause): string {
  return ENGLISH.causes[cause];
}

/**
 * A wheel or axle in words.
 * @example whereWords('lf') // 'left front'
 */
export function whereWords(where: Wheel | Axle): string {
  return ENGLISH.places[where];
}

/**
 * How sure, in words that keep to the same bands everywhere.
 * @param probability - 0 to 1
 * @example sureWords(0.75) // 'Likely'
 */
export function sureWords(probability: number): string {
  return sureIn(ENGLISH, probability);
}

/**
 * A probability as people say it: never 0 or 100.
 * @param probability - 0 to 1
 * @example inHundred(0.742) // '74 in 100'
 * @example inHundred(0.9999) // 'over 99 in 100'
 */
export function inHundred(probability: number): string {
  return hundredIn(ENGLISH, probability);
}
