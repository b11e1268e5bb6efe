import type { DepthUnit } from '@keen/contract/words';

/** What the digits typed so far amount to. */
export type DigitEntry =
  /** The reading is complete; in the unit it was typed in. */
  | { state: 'done'; value: number }
  /** More may follow; `value` is what it would be if nothing did. */
  | { state: 'open'; value: number | null };

/**
 * Fast entry without a decimal point. In mm two digits make a reading: 53 is 5.3 mm. Only where the
 * tread can be 10 mm or more do 10 and 11 wait for a third digit: 105 is 10.5 mm. In 32nds 2 to 9 go
 * at once, while 0 and 1 wait for a second digit (or for a move on): 1 then 1 is 11/32.
 * @param digits - the digits typed so far
 * @param deepest - what the tread can be at most, in the unit typed
 * @param unit - of the digits
 * @example readDigits('53', 'mm', 8) // { state: 'done', value: 5.3 }
 * @example readDigits('1', 'in32', 11) // { state: 'open', value: 1 }
 */
export function readDigits(digits: string, unit: DepthUnit, deepest: number): DigitEntry {
  if (!/^\d{1,3}$/.test(digits)) return { state: 'open', value: null };
  const number = Number(digits);
  if (unit === 'in32') {
    const waits = digits === '0' || digits === '1';
    return waits ? { state: 'open', value: number } : { state: 'done', value: number };
  }
  if (digits.length === 1) return { state: 'open', value: number };
  if (digits.length === 2 && number >= 10 && number <= deepest) {
    return { state: 'open', value: number / 10 };
  }
  return { state: 'done', value: number / 10 };
}
