import { InputError } from '../../engine/errors/InputError.ts';
import { parseMeasure } from '../../engine/units/parseMeasure.ts';
import { MM_PER_IN } from '../../engine/units/units.ts';
import { toeConvert } from './toeConvert.ts';

const NUMBER = String.raw`[-−–]?[\d.,/ -]*\d`;
const LENGTH = String.raw`mm|in|inch|inches|"|″`;
const AS_ANGLE = new RegExp(`^(${NUMBER})\\s*(°|deg|'|′|min)?$`, 'i');
const AS_LENGTH = new RegExp(
  `^(${NUMBER})\\s*(${LENGTH})\\s*(?:@|at|over)\\s*(${NUMBER})\\s*(${LENGTH})?$`,
  'i',
);

/**
 * A toe as specifications print it: `0.1`, `0.1°`, `6'`, `2 mm at 430`, `1/16 in @ 25`. A length needs
 * the diameter that it is taken at, in the same unit where none is named.
 * @param isTotal - of both wheels of an axle: half of it is one wheel's
 * @param text - as printed
 * @returns degrees, toe-in positive; null otherwise
 * @example toeFromText("6'", false) // 0.1
 * @example toeFromText('2 mm at 430', false).toFixed(2) // '0.27'
 */
export function toeFromText(text: string, isTotal: boolean): number | null {
  const plain = text.trim();
  const angle = AS_ANGLE.exec(plain);
  if (angle) {
    const value = numberIn(angle[1]!);
    const isMinutes = angle[2] !== undefined && /^('|′|min)$/i.test(angle[2]);
    return value === null ? null : isMinutes ? value / 60 : value;
  }
  const length = AS_LENGTH.exec(plain);
  if (!length) return null;
  const [, size, unit, over, overUnit = unit] = length as unknown as [
    string,
    string,
    string,
    string,
    string?,
  ];
  const [value, diameter] = [numberIn(size), numberIn(over)];
  if (value === null || diameter === null || !(diameter > 0)) return null;
  const inMm = (number: number, named: string) =>
    /^mm$/i.test(named) ? number : number * MM_PER_IN;
  const share = isTotal ? 2 : 1;
  try {
    const one = toeConvert({
      value: inMm(value, unit) / share,
      from: 'mm',
      to: 'deg',
      diameter: inMm(diameter, overUnit),
    }).value;
    return share * one;
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}

function numberIn(text: string): number | null {
  const value = parseMeasure(text.replace(/^[–−]/, '-'));
  return value === null || Number.isNaN(value) ? null : value;
}
