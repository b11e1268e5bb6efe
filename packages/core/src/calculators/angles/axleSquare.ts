import { RAD_PER_DEG } from '../../engine/units/units.ts';

/**
 * How two axles stand to one another, from a pair of tapes: hub to hub on the left and on the right, front
 * wheels straight ahead. Where the left is longer the right rear stands further forward and the rear axle
 * heads to the left: angle = atan((right - left) / track).
 *
 * The tapes tell the axles apart from square, not which of them is crooked.
 * @param input.left, input.right - wheelbase on each side; one unit with the track
 * @returns degrees, heading to the right positive as a thrust angle, and by how much one side is longer
 */
export function axleSquare(input: { left: number; right: number; track: number }): {
  angle: number;
  difference: number;
} {
  const difference = input.right - input.left;
  return { angle: Math.atan(difference / input.track) / RAD_PER_DEG, difference };
}
