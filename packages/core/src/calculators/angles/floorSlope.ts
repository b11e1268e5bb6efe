import { InputError } from '../../engine/errors/InputError.ts';
import { RAD_PER_DEG } from '../../engine/units/units.ts';

/**
 * How a floor slopes across the car, from its rise over the track (a hose, a long level with a block), or
 * from a level read twice, the second time turned end for end, which tells the floor from the level's own
 * error: slope = (first - turned) / 2, error = (first + turned) / 2.
 * @param input.over - what the rise or the tile belongs to, the track; unit as given
 * @param input.rise - in the same unit, or
 * @param input.first, input.turned - degrees shown with the same end of the level left, then right;
 *   positive when the level shows its left end high
 * @returns slope in degrees and its high side, the level's error in degrees (null where it was not
 *   turned), and what to put under the low wheels, in the unit of `over`
 * @throws {InputError} when neither is whole
 * @example floorSlope({ over: 1500, unit: 'mm', rise: 10, high: 'left' }).degrees.toFixed(2) // '0.38'
 */
export function floorSlope(input: {
  over: number;
  unit: 'mm' | 'in';
  rise?: number | undefined;
  high?: 'left' | 'right' | undefined;
  first?: number | undefined;
  turned?: number | undefined;
}): { degrees: number; high: 'left' | 'right'; levelError: number | null; tile: number } {
  const { over, rise, high, first, turned } = input;
  if (rise !== undefined && high !== undefined) {
    const degrees = Math.atan(rise / over) / RAD_PER_DEG;
    return { degrees, high, levelError: null, tile: rise };
  }
  if (first === undefined || turned === undefined) {
    throw new InputError('rise', 'riseWithSide');
  }
  const slope = (first - turned) / 2;
  return {
    degrees: Math.abs(slope),
    high: slope >= 0 ? 'left' : 'right',
    levelError: (first + turned) / 2,
    tile: over * Math.tan(Math.abs(slope) * RAD_PER_DEG),
  };
}
