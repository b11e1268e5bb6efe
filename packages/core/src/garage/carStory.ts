import type { Visit } from '@keen/contract';
import type { Wheel, Work } from '@keen/contract/words';
import { WHEEL_ORDER } from '../engine/case/wheels.ts';
import { tireLives, wheelsRead } from '../visit/tireLives.ts';
import type { CarVisit, TireLife } from '../visit/tireLives.ts';
import { tiresReplaced, workDone } from '../visit/workDone.ts';
import { tireSets } from './tireSets.ts';
import type { TireSet } from './tireSets.ts';
import { rateChange, wearStretches } from './wearRates.ts';
import type { RateChange, WearStretch } from './wearRates.ts';

/** How the tire on a wheel has been wearing. */
export interface WheelStory {
  wheel: Wheel;
  tire: TireLife;
  /** Oldest first. */
  stretches: WearStretch[];
  /** The latest stretch against the one before; null while there is no second. */
  change: RateChange | null;
}

/** What a car's visits say together. */
export interface CarStory {
  /** The sets of tires that the car has had, with the life of each: those on it first. */
  sets: TireSet[];
  /** Of the tires on the car by its latest visit. */
  wheels: WheelStory[];
  /** The visit between the two latest stretches, and what was done at it; null while there is none. */
  between: { visit: Visit; work: Work | null } | null;
}

/**
 * What the visits of one car say together: its tires followed from visit to visit, and how fast the ones
 * on it wear now against before.
 * @param visits - in any order
 */
export function carStory(visits: readonly Visit[]): CarStory {
  const ordered = visits.toSorted(
    (a, b) => Date.parse(a.arrivedAt) - Date.parse(b.arrivedAt) || a.number - b.number,
  );
  const tires = tireLives(
    ordered.map((visit): CarVisit => ({
      id: visit.id,
      arrivedAt: visit.arrivedAt,
      draft: visit.draft,
      replaced: tiresReplaced(visit),
    })),
  );
  const sets = tireSets(
    tires,
    ordered.map((visit) => ({
      id: visit.id,
      arrivedAt: visit.arrivedAt,
      replaced: tiresReplaced(visit),
      read: wheelsRead(visit.draft),
    })),
  );
  const wheels = WHEEL_ORDER.flatMap((wheel) => {
    const tire = tires.find(({ mounted }) => mounted === wheel);
    if (!tire) return [];
    const stretches = wearStretches(tire);
    const [before, now] = stretches.slice(-2);
    return [{ wheel, tire, stretches, change: before && now ? rateChange(before, now) : null }];
  });
  const last = wheels.find(({ change }) => change !== null)?.stretches.at(-1);
  const visit = ordered.find(({ id }) => id === last?.fromVisit);
  return { sets, wheels, between: visit ? { visit, work: workDone(visit) } : null };
}
