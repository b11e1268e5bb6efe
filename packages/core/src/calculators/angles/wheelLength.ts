import { InputError } from '../../engine/errors/InputError.ts';
import { MM_PER_IN } from '../../engine/units/units.ts';

/** No tire of a road vehicle is larger, mm; a figure beyond it was typed in the other unit. */
const MOST_MM = 1_500;

/**
 * Holds a length across a wheel to what a wheel can have, so that 457 is not taken for inches.
 * @param length - in `unit`
 * @throws {InputError} at `path`
 */
export function checkWheelLength(path: string, length: number, unit: 'mm' | 'in'): void {
  if (length * (unit === 'in' ? MM_PER_IN : 1) <= MOST_MM) return;
  const most = unit === 'in' ? `${Math.floor(MOST_MM / MM_PER_IN)} in` : `${MOST_MM} mm`;
  throw new InputError(path, 'acrossWheel', { most });
}
