import { WEAR_PARTS } from '@keen/core';
import type { WearPart } from '@keen/core';
import type { FleetCar } from './useFleet.ts';
import { t } from '../../words/garage.ts';

export const WEAR_PART_WORDS: Record<WearPart, string> = {
  base: t('causeCosts.wearThatAnyCar'),
  camber: t('causeCosts.camber'),
  toe: t('causeCosts.toe'),
  pressure: t('causeCosts.pressure'),
  cornering: t('causeCosts.hardCornering'),
  bounce: t('causeCosts.bouncingWheels'),
};

/** What one thing costs a fleet in tires. */
export interface CauseCost {
  part: WearPart;
  /** In a year, minor units. */
  yearly: number;
  /** Of all that its tires cost, 0 to 1. */
  share: number;
}

/** So little is not listed by itself, as a part of all. */
const LEAST_SHARE = 0.005;
const THOUSAND = 1000;

/** What a fleet spends on tires in a year as its cars are, by what wears them; the dearest first after the usual wear. */
export function causeCosts(cars: readonly FleetCar[]): { yearly: number; causes: CauseCost[] } {
  const sums = Object.fromEntries(WEAR_PARTS.map((part) => [part, 0])) as Record<WearPart, number>;
  for (const { cost, running } of cars) {
    if (!cost || !running) continue;
    for (const part of WEAR_PARTS) {
      sums[part] += (cost.byCause[part] * running.kmPerYear) / THOUSAND;
    }
  }
  const yearly = WEAR_PARTS.reduce((sum, part) => sum + sums[part], 0);
  const causes = WEAR_PARTS.map((part) => ({
    part,
    yearly: sums[part],
    share: yearly > 0 ? sums[part] / yearly : 0,
  })).filter(({ part, share }) => part === 'base' || share >= LEAST_SHARE);
  return {
    yearly,
    causes: causes.toSorted(
      (a, b) => Number(b.part === 'base') - Number(a.part === 'base') || b.yearly - a.yearly,
    ),
  };
}
