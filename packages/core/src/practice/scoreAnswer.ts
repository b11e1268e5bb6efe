import type { Axle, Cause, Diagnosis, Wheel } from '@keen/contract';
import { FAULTS } from '../engine/wear/faults.ts';
import { USUAL_CHANCES } from './usualChances.ts';

/** A cause that a learner named, with how sure. */
export interface NamedCause {
  cause: Cause;
  where: Wheel | Axle;
  /** 0 to 1. */
  chance: number;
}

/** Chances of all faults, in the order of FAULTS: as named, and as usual where nothing was named. */
export function answerChances(named: readonly NamedCause[]): number[] {
  return FAULTS.map(({ cause, where }, i) => {
    // Hard cornering is the driver's: said once it is said of both axles.
    const own = named.find(
      (one) => one.cause === cause && (cause === 'hardCornering' || one.where === where),
    );
    return own?.chance ?? USUAL_CHANCES[i]!;
  });
}

/** The chances that a diagnosis gives, in the order of FAULTS. */
export function diagnosisChances({ wheels, axles }: Pick<Diagnosis, 'wheels' | 'axles'>): number[] {
  return FAULTS.map(({ cause, where, isAxle }) => {
    const { probability } = isAxle ? axles[where as Axle] : wheels[where as Wheel];
    return (probability as Partial<Record<Cause, number>>)[cause]!;
  });
}

/**
 * Brier score of an answer: the sum of squares of chance less truth over all faults; 0 is perfect.
 *
 * It is proper: whoever says what they believe expects the least (Brier 1950, Monthly Weather Review 78;
 * Gneiting and Raftery 2007). A sure wrong answer costs the most.
 * @param truth - 1 for each fault that is there
 * @example brierScore([0.5, 0.5], [1, 0]) // 0.5
 */
export function brierScore(chances: readonly number[], truth: ArrayLike<number>): number {
  return chances.reduce((sum, chance, i) => sum + (chance - truth[i]!) ** 2, 0);
}

/**
 * A score in points: 0 for what anybody could say without looking, 100 for knowing all; below 0 for harm done.
 * @example pointsOf(0, Array(28).fill(0)) // 100
 */
export function pointsOf(score: number, truth: ArrayLike<number>): number {
  return 100 * (1 - score / brierScore(USUAL_CHANCES, truth));
}
