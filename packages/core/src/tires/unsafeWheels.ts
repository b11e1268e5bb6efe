import type { VisitDraft } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';
import { UNSAFE_DAMAGES } from '@keen/contract/words';
import { WHEEL_ORDER } from '../case/wheels.ts';

/** Wheels whose tire is not safe to drive on, whatever its depth: cords, a bulge or a cut. */
export function unsafeWheels(draft: VisitDraft): Wheel[] {
  return WHEEL_ORDER.filter((wheel) =>
    draft.tires?.[wheel]?.damage?.some((kind) => UNSAFE_DAMAGES.includes(kind)),
  );
}
