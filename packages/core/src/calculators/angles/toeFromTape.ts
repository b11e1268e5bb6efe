import { InputError } from '../../engine/errors/InputError.ts';
import { MM_PER_IN, RAD_PER_DEG } from '../../engine/units/units.ts';
import { checkWheelLength } from './wheelLength.ts';

/**
 * Total toe from a tape between the same two marks, ahead of and behind the axle.
 *
 * length = rear - front; each wheel turns by asin(length / 2 / span), the pair by twice that.
 * @param input.front, input.rear - tape readings, in `unit`
 * @param input.span - along the wheel between the two places, in `unit`: the diameter at hub height,
 *   the shorter chord when taken lower
 * @returns degrees and mm, toe-in positive
 * @throws {InputError} `span` when no wheel is that large, or when the tapes differ by more than the wheel can turn
 */
export function toeFromTape(input: {
  front: number;
  rear: number;
  unit: 'mm' | 'in';
  span: number;
}): { totalToe: number; totalToeLength: number; direction: 'in' | 'out' | 'none' } {
  checkWheelLength('span', input.span, input.unit);
  const length = input.rear - input.front;
  const sine = length / 2 / input.span;
  if (Math.abs(sine) > 1) {
    throw new InputError('span', 'spanForTapes');
  }
  return {
    totalToe: (2 * Math.asin(sine)) / RAD_PER_DEG,
    totalToeLength: length * (input.unit === 'in' ? MM_PER_IN : 1),
    direction: length > 0 ? 'in' : length < 0 ? 'out' : 'none',
  };
}
