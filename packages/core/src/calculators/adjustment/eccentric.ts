import { RAD_PER_DEG } from '../../engine/units/units.ts';

/** A change this little beyond the end stop still counts as reached, degrees. */
const BEYOND_DEG = 1e-9;
const END_STOP_DEG = 90;

/**
 * Turn of an eccentric cam bolt for a change of camber or toe.
 *
 * change = atan(offset x sin(turn) / lever arm).
 * @param input.change - wanted, degrees
 * @param input.offset - bolt centre to cam centre, mm
 * @param input.leverArm - from the cam to the point the arm turns about, mm
 * @returns degrees of bolt from mid travel; at the end stop when the change is out of reach
 */
export function eccentric(input: { change: number; offset: number; leverArm: number }): {
  turn: number;
  reachable: boolean;
  range: [number, number];
} {
  const { change, offset, leverArm } = input;
  const most = Math.atan(offset / leverArm) / RAD_PER_DEG;
  const reachable = Math.abs(change) <= most + BEYOND_DEG;
  const sine = (Math.tan(change * RAD_PER_DEG) * leverArm) / offset;
  return {
    turn: reachable
      ? Math.asin(Math.min(1, Math.max(-1, sine))) / RAD_PER_DEG
      : Math.sign(change) * END_STOP_DEG,
    reachable,
    range: [-most, most],
  };
}
