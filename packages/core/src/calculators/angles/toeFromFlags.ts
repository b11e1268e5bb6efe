import { RAD_PER_DEG } from '../../engine/units/units.ts';

/**
 * Toe of the front wheels by beams that run back along them to a flag at each rear wheel. A beam stands off
 * the front wheel's face; at the flag, a wheelbase further back, it stands further out by as much as the
 * wheel toes in: toe = atan((flag - beam - (front - rear track) / 2) / distance).
 *
 * Each wheel is given relative to the middle of the car as the rear hubs have it.
 * @param input.distance - from beam to flag along the car; all in one unit
 * @param input.beam - from the front wheel's face out to the beam
 * @param input.flags - where the beam meets each flag, out from the rear wheel's face
 * @param input.track - between the faces that were measured from, front and rear
 * @returns degrees, toe-in positive, of each wheel and in all
 */
export function toeFromFlags(input: {
  distance: number;
  beam: number;
  flags: { left: number; right: number };
  track: { front: number; rear: number };
}): { toe: { left: number; right: number }; totalToe: number } {
  const { distance, beam, flags, track } = input;
  const wider = (track.front - track.rear) / 2;
  const toe = (flag: number) => Math.atan((flag - beam - wider) / distance) / RAD_PER_DEG;
  const [left, right] = [toe(flags.left), toe(flags.right)];
  return { toe: { left, right }, totalToe: left + right };
}
