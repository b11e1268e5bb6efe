import type { ToeUnit } from '@keen/contract';
import { InputError } from '../../engine/errors/InputError.ts';
import { MIN_PER_DEG, MM_PER_IN, RAD_PER_DEG } from '../../engine/units/units.ts';

/**
 * Converts the toe of one wheel between an angle and a length.
 *
 * length = diameter x sin(angle), exact. For a total toe convert half of it and double.
 * @param input.value - positive is toe-in, in unit `from`
 * @param input.diameter - reference diameter in mm whatever the units; needed between angle and length
 * @returns the same toe in unit `to`
 * @throws {InputError} `diameter` when missing; `value` when no angle has that length
 * @example toeConvert({ value: 2, from: 'mm', to: 'deg', diameter: 600 }).value.toFixed(3) // '0.191'
 */
export function toeConvert(input: {
  value: number;
  from: ToeUnit;
  to: ToeUnit;
  diameter?: number | undefined;
}): { value: number } {
  const { value, from, to, diameter } = input;
  if (isLength(from) === isLength(to)) return { value: (value * unitSize(from)) / unitSize(to) };
  if (diameter === undefined) throw new InputError('diameter', 'diameter');
  if (isLength(from)) {
    const sine = (value * unitSize(from)) / diameter;
    if (Math.abs(sine) > 1) {
      throw new InputError('value', 'lengthInDiameter', { diameter });
    }
    return { value: Math.asin(sine) / RAD_PER_DEG / unitSize(to) };
  }
  return { value: (diameter * Math.sin(value * unitSize(from) * RAD_PER_DEG)) / unitSize(to) };
}

function isLength(unit: ToeUnit): boolean {
  return unit === 'mm' || unit === 'in';
}

/** Degrees in an angle unit, millimetres in a length unit. */
function unitSize(unit: ToeUnit): number {
  return { deg: 1, min: 1 / MIN_PER_DEG, mm: 1, in: MM_PER_IN }[unit];
}
