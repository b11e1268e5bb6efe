import type { TreadPass } from '@keen/contract';

/** How a car must come over a drive-over reader (common practice, no source). */
export const PASSING = { slowestKmh: 3, fastestKmh: 13, skewDeg: 5, steerDeg: 4 } as const;

/** Why a pass does not count. */
export type PassFault = 'tooSlow' | 'tooFast' | 'crooked' | 'turning';

/**
 * Whether a car came over the reader slowly, square and straight enough for its profiles to be read.
 * @param passing - speed in km/h, skew and steer in degrees either side; unknown is let through
 * @returns everything that was wrong, none when it counts
 */
export function passFaults(passing: TreadPass['passing']): PassFault[] {
  if (!passing) return [];
  const { speed, skew, steer } = passing;
  const faults: PassFault[] = [];
  if (speed < PASSING.slowestKmh) faults.push('tooSlow');
  if (speed > PASSING.fastestKmh) faults.push('tooFast');
  if (Math.abs(skew) > PASSING.skewDeg) faults.push('crooked');
  if (Math.abs(steer) > PASSING.steerDeg) faults.push('turning');
  return faults;
}
