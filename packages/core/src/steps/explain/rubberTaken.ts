import type { Diagnosis, RankedCause } from '@keen/contract';
import type { Cause, Wheel } from '@keen/contract/words';
import { WHEEL_ORDER, wheelsAt } from '../../engine/case/wheels.ts';

/** What a cause took at the worst rib of one tire, of all that this rib has lost. */
export interface RubberTaken {
  wheel: Wheel;
  partMm: number;
  totalMm: number;
}

type Part = 'camber' | 'toe' | 'pressure' | 'cornering' | 'bounce';

const PART_OF: Record<Cause, Part> = {
  camberTooNegative: 'camber',
  camberTooPositive: 'camber',
  toeTooFarIn: 'toe',
  toeTooFarOut: 'toe',
  looseness: 'toe',
  pressureLow: 'pressure',
  pressureHigh: 'pressure',
  hardCornering: 'cornering',
  bounce: 'bounce',
};

/**
 * What a cause took, at the tire where it took most. This is the one number of rubber that screens and
 * papers give for a cause: it is a part of what the worst rib of that tire has lost, and with the base and
 * the other causes it adds up to that.
 * @param places - the places of one cause
 */
export function rubberTaken(diagnosis: Diagnosis, places: readonly RankedCause[]): RubberTaken {
  const taken = places.flatMap((place) =>
    wheelsOf(place).map((wheel): RubberTaken => ({
      wheel,
      partMm: shareAt(diagnosis, place, wheel),
      totalMm: diagnosis.wheels[wheel].wear.total,
    })),
  );
  return taken.reduce((most, one) => (one.partMm > most.partMm ? one : most));
}

/** Causes that share a part of the wear (toe and play, camber either way) share it by what each took. */
function shareAt({ ranked, wheels }: Diagnosis, cause: RankedCause, wheel: Wheel): number {
  const part = PART_OF[cause.cause];
  const sum = ranked
    .filter((one) => PART_OF[one.cause] === part && wheelsOf(one).includes(wheel))
    .reduce((total, { excess }) => total + excess, 0);
  return sum > 0 ? (wheels[wheel].wear[part] * cause.excess) / sum : 0;
}

function wheelsOf({ cause, where, tires }: RankedCause): readonly Wheel[] {
  if (tires) return tires;
  // One driver: cornering stands at the front axle and wears all four.
  if (cause === 'hardCornering') return WHEEL_ORDER;
  return wheelsAt(where);
}
