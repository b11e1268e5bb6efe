import { RAD_PER_DEG } from '../../engine/units/units.ts';

/** How a tie rod reaches its wheel, and how it is turned. */
export interface TieRodSetup {
  /** From the steering axis to the line of the rod, square to it, seen from above, mm. */
  steeringArm: number;
  /** mm a turn. */
  threadPitch: number;
  rack: 'ahead' | 'behind';
  adjuster: 'single' | 'turnbuckle';
}

export interface TieRodTurn {
  /** mm, positive longer. */
  lengthChange: number;
  /** Not negative. */
  turns: number;
  action: 'lengthen' | 'shorten' | 'none';
}

/** A turnbuckle has a left and a right thread, and moves both. */
const PITCHES_A_TURN = { single: 1, turnbuckle: 2 } as const;

/**
 * Turns of a tie rod that change a wheel's toe.
 *
 * length change = steering arm x sin(toe change): longer with the rack behind the axle, shorter with
 * the rack ahead of it.
 * @param input.toeChange - of this one wheel, degrees, positive is more toe-in
 */
export function tieRod(input: TieRodSetup & { toeChange: number }): TieRodTurn {
  const size = input.steeringArm * Math.sin(input.toeChange * RAD_PER_DEG);
  const lengthChange = input.rack === 'behind' ? size : -size;
  return {
    lengthChange,
    turns: Math.abs(lengthChange) / (input.threadPitch * PITCHES_A_TURN[input.adjuster]),
    action: lengthChange > 0 ? 'lengthen' : lengthChange < 0 ? 'shorten' : 'none',
  };
}
