import type { CaseFile } from '@keen/contract';
import type { Action } from '@keen/contract/words';
import { resolveCase } from '../engine/case/resolveCase.ts';
import { rankOptions } from '../engine/outlook/choices.ts';
import type { WorkPrices } from '../engine/outlook/choices.ts';
import type { PossibleCar } from '../engine/outlook/courses.ts';
import { createOutlook } from '../engine/outlook/outlook.ts';

/** What a course really costs a customer whose car is known. */
export interface TrueCost {
  course: Action;
  /** Work and tires over the life of a set, minor units. */
  minor: number;
  /** What that is more than the cheapest course, minor units. */
  lost: number;
}

/**
 * Weighs the courses for a car of which everything is known: as for a customer, with one possible car.
 * @param car - the truth; its faults are those of today
 * @returns all courses, cheapest first
 */
export function moneyInTruth(file: CaseFile, car: PossibleCar, prices: WorkPrices): TrueCost[] {
  const outlook = { ...createOutlook(resolveCase(file), [car]), bars: {}, checks: [] };
  const { choices, horizonKm } = rankOptions(outlook, prices, {
    replaced: { front: 2, rear: 2 },
  });
  const costs = choices.map(({ course, perThousandKm }) => ({
    course,
    minor: (perThousandKm * horizonKm) / 1000,
  }));
  const least = Math.min(...costs.map(({ minor }) => minor));
  return costs
    .map(({ course, minor }) => ({ course, minor, lost: minor - least }))
    .toSorted((a, b) => a.minor - b.minor);
}
