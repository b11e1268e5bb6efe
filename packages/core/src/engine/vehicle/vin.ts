import type { ExpectedReason, SentenceValues } from '@keen/contract';

/** What a vehicle identification number turned out to be. */
export type VinCheck =
  | { ok: true; hasCheckDigit: boolean }
  | { ok: false; reason: ExpectedReason; values: SentenceValues };

const LENGTH = 17;
/** Place of the check digit, from 0. */
const CHECK_AT = 8;
const WEIGHTS = [8, 7, 6, 5, 4, 3, 2, 10, 0, 9, 8, 7, 6, 5, 4, 3, 2] as const;
const VALUES = Object.fromEntries([
  ...[...'0123456789'].map((digit) => [digit, Number(digit)]),
  ...[...'ABCDEFGH'].map((letter, i) => [letter, i + 1]),
  ...[...'JKLMN'].map((letter, i) => [letter, i + 1]),
  ['P', 7],
  ['R', 9],
  ...[...'STUVWXYZ'].map((letter, i) => [letter, i + 2]),
]) as Record<string, number>;

/**
 * Upper case, without the spaces and dashes that people put in.
 * @example plainVin('1m8 gdm9-ax') // '1M8GDM9AX'
 */
export function plainVin(text: string): string {
  return text.toUpperCase().replace(/[\s-]/g, '');
}

/**
 * Checks a VIN: 17 characters without I, O and Q. Those made for North America carry a check digit in
 * the ninth place; elsewhere that place is free, so only a North American number is refused by it.
 * @param text - as typed
 * Source: ISO 3779 for the characters, 49 CFR 565.15 for the check digit, both recalled from memory.
 * @example checkVin('11111111111111111') // { ok: true, hasCheckDigit: true }
 * @example checkVin('1111111111111111O').ok // false
 */
export function checkVin(text: string): VinCheck {
  const vin = plainVin(text);
  if (vin.length !== LENGTH) {
    return { ok: false, reason: 'vinLength', values: { length: vin.length } };
  }
  if (!/^[0-9A-HJ-NPR-Z]+$/.test(vin)) {
    return { ok: false, reason: 'vinSimilar', values: {} };
  }
  const sum = [...vin].reduce((total, letter, i) => total + VALUES[letter]! * WEIGHTS[i]!, 0);
  const digit = sum % 11 === 10 ? 'X' : String(sum % 11);
  const isRight = vin[CHECK_AT] === digit;
  if (!isRight && /^[1-5]/.test(vin)) {
    return { ok: false, reason: 'vinCheckDigit', values: { digit } };
  }
  return { ok: true, hasCheckDigit: isRight };
}
