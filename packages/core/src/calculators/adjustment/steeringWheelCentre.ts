import { InputError } from '../../engine/errors/InputError.ts';
import { tieRod } from './tieRod.ts';
import type { TieRodSetup, TieRodTurn } from './tieRod.ts';

const RIGHT_ANGLE_DEG = 90;

/**
 * Brings the steering wheel to the middle without changing the total toe: what one wheel gains, the
 * other gives.
 * @param input.offset - of the steering wheel while driving straight, degrees, positive turned right
 * @param input.steeringRatio - steering wheel over road wheel
 * @returns the turn of each tie rod, with the toe change it makes
 * @throws {InputError} `offset` when the road wheels would have to turn by 90 degrees or more
 */
export function steeringWheelCentre(
  input: TieRodSetup & { offset: number; steeringRatio: number },
): Record<'lf' | 'rf', TieRodTurn & { toeChange: number }> {
  const { offset, steeringRatio, ...setup } = input;
  const turn = offset / steeringRatio;
  if (Math.abs(turn) >= RIGHT_ANGLE_DEG) {
    throw new InputError('offset', 'steerUnder90');
  }
  const rod = (toeChange: number) => ({ toeChange, ...tieRod({ ...setup, toeChange }) });
  return { lf: rod(turn), rf: rod(-turn) };
}
