import { DEFAULT_LIMITS_MM } from '@keen/core';
import { firstAtLimit, formulaPhysics, putRightCar, wearOn } from '@keen/core/lab';
import type { LabPlan } from '@keen/core/lab';
import { usualPhysics } from '@keen/simulator/lab';
import { useMemo } from 'react';
import type { LabSetup } from './labSetup.ts';
import { factorsOf } from './otherCars.ts';
import type { MeanCar } from './otherCars.ts';

/** Further than this nothing is driven, km: rubber ages too. */
export const FURTHEST_KM = 150_000;

/** A car that was driven to the end of its tires. */
export interface Driven {
  plan: LabPlan;
  run: ReturnType<typeof wearOn>;
  /** Where its first rib is at the legal limit; null beyond {@link FURTHEST_KM}. */
  end: ReturnType<typeof firstAtLimit>;
}

/**
 * Drives the car as it is set, and put right beside it.
 * @param mean - the mean car of a visit, whose traits and tires the formula then has
 */
export function useLab(
  { car, newMm, events, world }: LabSetup,
  mean: MeanCar | null,
): { asIs: Driven; putRight: Driven } {
  return useMemo(() => {
    const drive = (plan: LabPlan): Driven => {
      const physics =
        world === 'own'
          ? formulaPhysics(plan.car.drive, mean?.typical)
          : usualPhysics(world, plan.car);
      const factors = world === 'own' && mean ? factorsOf(mean.factors) : undefined;
      const run = wearOn(plan, physics, factors);
      return { plan, run, end: firstAtLimit(run, DEFAULT_LIMITS_MM.legal) };
    };
    const rotations = events.filter(({ kind }) => kind === 'rotate');
    return {
      asIs: drive({ car, newMm, km: FURTHEST_KM, events }),
      putRight: drive({ car: putRightCar(car), newMm, km: FURTHEST_KM, events: rotations }),
    };
  }, [car, newMm, events, world, mean]);
}
