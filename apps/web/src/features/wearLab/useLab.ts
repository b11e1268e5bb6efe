import { DEFAULT_LIMITS_MM } from '@keen/core';
import { firstAtLimit, formulaPhysics, putRightCar, wearOn } from '@keen/core/lab';
import type { LabCar, LabPlan } from '@keen/core/lab';
import { usualPhysics } from '@keen/simulator/lab';
import { useCallback, useMemo } from 'react';
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
  const drive = useCallback(
    (plan: LabPlan): Driven => {
      const physics =
        world === 'own'
          ? formulaPhysics(plan.car.drive, mean?.posteriorMean)
          : usualPhysics(world, plan.car);
      const factors = world === 'own' && mean ? factorsOf(mean.factors) : undefined;
      const run = wearOn(plan, physics, factors);
      return { plan, run, end: firstAtLimit(run, DEFAULT_LIMITS_MM.legal) };
    },
    [world, mean],
  );
  const asIs = useMemo(
    () => drive({ car, newMm, km: FURTHEST_KM, events }),
    [drive, car, newMm, events],
  );
  // Put right it stays the same while an angle is dragged, and need not be driven again.
  const right = JSON.stringify(putRightCar(car));
  const putRight = useMemo(
    () =>
      drive({
        car: JSON.parse(right) as LabCar,
        newMm,
        km: FURTHEST_KM,
        events: events.filter(({ kind }) => kind === 'rotate'),
      }),
    [drive, right, newMm, events],
  );
  return { asIs, putRight };
}
