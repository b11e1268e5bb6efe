import type { Axle, ToeIn, VisitDraft } from '@keen/contract';
import { toeConvert } from '../../calculators/angles/toeConvert.ts';
import { InputError } from '../../engine/errors/InputError.ts';
import { parseTireSize } from '../../engine/tires/tireSize.ts';

/** Names of the units that toe is typed and shown in. */
export const TOE_UNIT_WORDS = { deg: '°', min: '′', mm: 'mm', in: 'in' } as const;
export const TOE_DECIMALS = { deg: 2, min: 0, mm: 1, in: 3 } as const;

/** A unit of toe with the diameter that a length is taken at, mm. */
export interface ToeScale {
  unit: ToeIn['unit'];
  diameter: number | undefined;
}

/**
 * What toe is typed and shown in at an axle: as the visit says, with the tire's own diameter where none is given.
 * @param own - of the person who looks, where the visit says nothing
 * @example toeScaleOf({}, 'front', 'mm') // { unit: 'mm' }
 */
export function toeScaleOf(draft: VisitDraft, axle: Axle, own: ToeIn['unit']): ToeScale {
  const { unit = own, diameter } = draft.visit?.measure?.toeIn ?? {};
  return { unit, diameter: diameter ?? tireDiameter(draft, axle) ?? undefined };
}

/**
 * The outer diameter of an axle's tires by their size, mm; null where no size is known.
 * @example tireDiameter({ tires: { lf: { size: '205/55R16' } } }, 'front') // 631.9
 */
export function tireDiameter(draft: VisitDraft, axle: Axle): number | null {
  const size = draft.tires?.[axle === 'front' ? 'lf' : 'lr']?.size;
  if (!size) return null;
  try {
    return parseTireSize(size).diameter;
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}

/**
 * Whether a toe can be read in the unit: a length needs a diameter.
 * @example isScaled(toeScaleOf({}, 'front', 'deg')) // true
 */
export function isScaled({ unit, diameter }: ToeScale): boolean {
  return unit === 'deg' || unit === 'min' || diameter !== undefined;
}

/**
 * A toe in a unit of its own to degrees.
 * @param value - in the scale's unit, toe-in positive
 * @param scale - the unit, and for lengths the diameter, mm
 * @param isTotal - of both wheels of an axle
 * @returns degrees; NaN for a length that no angle has
 * @example toeToDegrees(12, { unit: 'min' }, false) // 0.2
 */
export function toeToDegrees(value: number, scale: ToeScale, isTotal: boolean): number {
  return converted(value, scale, isTotal, 'deg');
}

/**
 * A toe in degrees to the unit of a scale.
 * @param degrees - toe-in positive
 * @param scale - the unit, and for lengths the diameter, mm
 * @param isTotal - of both wheels of an axle
 * @example toeFromDegrees(0.2, { unit: 'min' }, false) // 12
 */
export function toeFromDegrees(degrees: number, scale: ToeScale, isTotal: boolean): number {
  return converted(degrees, scale, isTotal, scale.unit);
}

/**
 * A toe in its unit as text, without the unit.
 * @example plainToe(0.25, toeScaleOf({}, 'front', 'deg'), false) // '0.25'
 */
export function plainToe(degrees: number, scale: ToeScale, isTotal: boolean): string {
  return String(
    Number(toeFromDegrees(degrees, scale, isTotal).toFixed(TOE_DECIMALS[scale.unit] + 1)),
  );
}

/**
 * A toe with its sign and unit, as it is read out.
 * @param degrees - toe-in positive
 * @param scale - the unit, and for lengths the diameter, mm; degrees where a length has none
 * @param isTotal - of both wheels of an axle
 * @example showToe(0.2, { unit: 'deg' }, false) // '+0.20°'
 */
export function showToe(degrees: number, scale: ToeScale, isTotal: boolean): string {
  const { unit } = isScaled(scale) ? scale : { unit: 'deg' as const };
  const value = toeFromDegrees(degrees, { ...scale, unit }, isTotal);
  const size = Math.abs(value).toFixed(TOE_DECIMALS[unit]);
  const sign = Number(size) === 0 ? '' : value < 0 ? '−' : '+';
  const word = TOE_UNIT_WORDS[unit];
  return `${sign}${size}${unit === 'deg' || unit === 'min' ? word : ` ${word}`}`;
}

function converted(
  value: number,
  { unit, diameter }: ToeScale,
  isTotal: boolean,
  to: ToeIn['unit'],
): number {
  const from = to === 'deg' ? unit : 'deg';
  // A total is two wheels: half of it is one wheel's angle or length.
  const share = isTotal ? 2 : 1;
  try {
    return share * toeConvert({ value: value / share, from, to, diameter }).value;
  } catch (error) {
    if (error instanceof InputError) return Number.NaN;
    throw error;
  }
}
