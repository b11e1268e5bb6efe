import { InputError } from '../../engine/errors/InputError.ts';
import { RAD_PER_DEG } from '../../engine/units/units.ts';
import { checkWheelLength } from './wheelLength.ts';

/**
 * Camber from a square stood on the floor beside the wheel: its gap to the rim's upper and lower edge.
 *
 * camber = asin((bottom - top) / span): a wider gap at the top means that the top leans in.
 * @param input.top, input.bottom - gap from square to rim edge, in `unit`; one of them may be 0
 * @param input.span - between the two points of the rim, in `unit`
 * @returns degrees, top outward positive, against the floor that the square stands on
 * @throws {InputError} `span` when no wheel is that large, or when the gaps differ by more than it
 * Source: plain geometry.
 */
export function camberFromSquare(input: {
  top: number;
  bottom: number;
  span: number;
  unit: 'mm' | 'in';
}): { camber: number } {
  checkWheelLength('span', input.span, input.unit);
  const sine = (input.bottom - input.top) / input.span;
  if (Math.abs(sine) >= 1) {
    throw new InputError('span', 'longerSpan');
  }
  return { camber: Math.asin(sine) / RAD_PER_DEG };
}
