import { RAD_PER_DEG } from '../../engine/units/units.ts';
import { eccentric } from './eccentric.ts';
import { wishboneShims } from './wishboneShims.ts';

/** One of the two cams. */
interface Cam {
  /** Degrees of bolt from mid travel, positive moving its end of the arm out; at its stop out of reach. */
  turn: number;
  /** Of its end of the arm, mm, outward positive. */
  moves: number;
  reachable: boolean;
}

/**
 * Two cams on one lower arm: turned together they move the ball joint in or out, which is camber; turned
 * against one another they swing it forward or back, which trades caster.
 *
 * The joint moves out by (front + rear) / 2 and forward by arm length x (rear - front) / cam spacing;
 * camber = - atan(out / arm height), caster = atan(forward / arm height): a lower joint further out leans
 * the top in, one further forward leans the axis back. A cam moves its end by offset x sin(turn).
 * @param input.camberChange, input.casterChange - wanted, degrees
 * @param input.offset - bolt centre to cam centre, mm
 * @param input.armHeight - upper joint above lower, mm; other lengths in mm
 */
export function twoCams(input: {
  camberChange: number;
  casterChange: number;
  camSpacing: number;
  armLength: number;
  armHeight: number;
  offset: number;
}): { front: Cam; rear: Cam } {
  const { camSpacing, offset, ...arm } = input;
  // An upper arm's shims move its joint in and forward as a lower arm's cams move theirs out and back.
  const inward = wishboneShims({
    ...arm,
    casterChange: arm.casterChange,
    boltSpacing: camSpacing,
  });
  const cam = (moves: number): Cam => {
    const change = Math.atan(moves / offset) / RAD_PER_DEG;
    const { turn, reachable } = eccentric({ change, offset, leverArm: offset });
    return { turn, moves, reachable };
  };
  return { front: cam(inward.front), rear: cam(inward.rear) };
}
