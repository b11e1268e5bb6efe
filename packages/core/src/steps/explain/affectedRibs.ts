import type { Cause, Rib, Wheel, Axle } from '@keen/contract/words';
import { wheelsAt } from '../../engine/case/wheels.ts';
import type { Slot } from '../read/readingOrder.ts';

const ALL: readonly Rib[] = ['inner', 'centre', 'outer'];

const RIBS_OF: Record<Cause, readonly Rib[]> = {
  camberTooNegative: ['inner'],
  camberTooPositive: ['outer'],
  toeTooFarIn: ['outer'],
  toeTooFarOut: ['inner'],
  pressureLow: ['inner', 'outer'],
  pressureHigh: ['centre'],
  hardCornering: ['outer'],
  bounce: ALL,
  looseness: ALL,
};

/**
 * The ribs that a cause eats: where to look for it in the drawing, on the tires that carry its wear.
 * @example affectedRibs({ cause: 'camberTooNegative', where: 'lf' }) // [{ wheel: 'lf', rib: 'inner' }]
 */
export function affectedRibs({
  cause,
  where,
  tires,
}: {
  cause: Cause;
  where: Wheel | Axle;
  tires?: readonly Wheel[] | undefined;
}): Slot[] {
  const wheels = tires ?? wheelsAt(where);
  return wheels.flatMap((wheel) => RIBS_OF[cause].map((rib) => ({ wheel, rib })));
}
