import type { Axle, Cause, Wheel } from '@keen/contract/words';
import { FAULTS } from '../engine/wear/faults.ts';

/**
 * How often each fault is there on cars that come in: what somebody would say who has seen nothing of a car.
 * Counted from the prior (the simulator's tests hold these to it).
 */
const USUAL: Record<Cause, number | Record<Axle, number>> = {
  camberTooNegative: 0.07,
  camberTooPositive: 0.04,
  pressureLow: 0.09,
  pressureHigh: 0.045,
  bounce: 0.03,
  toeTooFarIn: { front: 0.14, rear: 0.07 },
  toeTooFarOut: { front: 0.14, rear: 0.07 },
  looseness: { front: 0.09, rear: 0.02 },
  hardCornering: 0.1,
};

/**
 * The usual chance of a fault at a wheel or an axle, 0 to 1.
 * @example usualChance('looseness', 'front').toFixed(2) // '0.09'
 */
export function usualChance(cause: Cause, where: Wheel | Axle): number {
  const chance = USUAL[cause];
  return typeof chance === 'number' ? chance : chance[where as Axle];
}

/** The usual chances of all faults, in the order of the engine's FAULTS. */
export const USUAL_CHANCES: readonly number[] = FAULTS.map(({ cause, where }) =>
  usualChance(cause, where),
);
