import type { DepthUnit } from '@keen/contract/words';

/** What the digits typed so far amount to. */
export type DigitEntry =
  /** The reading is complete; in the unit it was typed in. */
  | { state: 'done'; value: number }
  /** More may follow; `value` is what it would be if nothing did. */
  | { state: 'open'; value: number | null };

/** In 32nds only these first digits can start a two-digit depth. */
const OPENS_IN32 = '1';

/**
 * Fast entry without a decimal point. In mm two digits make a reading: 53 is 5.3 mm. In 32nds 2 to 9
 * go at once, while 0 and 1 wait for a second digit (or for a move on): 1 then 1 is 11/32.
 * @param digits - one or two digits
 */
export function readDigits(digits: string, unit: DepthUnit): DigitEntry {
  if (!/^\d{1,2}$/.test(digits)) return { state: 'open', value: null };
  if (unit === 'mm') {
    return digits.length === 2
      ? { state: 'done', value: Number(digits) / 10 }
      : { state: 'open', value: Number(digits) };
  }
  if (digits.length === 2) return { state: 'done', value: Number(digits) };
  return digits === OPENS_IN32 || digits === '0'
    ? { state: 'open', value: Number(digits) }
    : { state: 'done', value: Number(digits) };
}
