import { FEET_PER_MILE, M_PER_KM, RAD_PER_DEG } from '../../engine/units/units.ts';

/**
 * How far a rolling wheel is dragged sideways by its toe.
 * @param input.toe - one wheel, degrees, positive is toe-in; the sign is kept
 * @returns sideways metres a kilometre and feet a mile: distance x sin(toe)
 */
export function slip(input: { toe: number }): { metresPerKm: number; feetPerMile: number } {
  const sine = Math.sin(input.toe * RAD_PER_DEG);
  return { metresPerKm: M_PER_KM * sine, feetPerMile: FEET_PER_MILE * sine };
}
