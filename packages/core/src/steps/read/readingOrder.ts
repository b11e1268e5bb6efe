import type { ReadingOrder } from '@keen/contract';
import type { Rib, Wheel } from '@keen/contract/words';

/** One place for the gauge: a rib of a wheel. */
export interface Slot {
  wheel: Wheel;
  rib: Rib;
}

const WALK: readonly Wheel[] = ['lf', 'lr', 'rr', 'rf'];
const AXLES: readonly Wheel[] = ['lf', 'rf', 'lr', 'rr'];
const OUTER_FIRST: readonly Rib[] = ['outer', 'centre', 'inner'];
const INNER_FIRST: readonly Rib[] = ['inner', 'centre', 'outer'];

/**
 * The twelve ribs in the order a person reads them.
 *
 * - walkAround: round the car from the left front, each tire from outer to inner
 * - axleByAxle: the front pair, then the rear pair, across the axle as seen from behind
 * - outerFirst: axle by axle, every tire from outer to inner
 * @example readingOrder('walkAround')[0] // { wheel: 'lf', rib: 'outer' }
 */
export function readingOrder(order: ReadingOrder): readonly Slot[] {
  switch (order) {
    case 'walkAround':
      return slots(WALK, () => OUTER_FIRST);
    case 'axleByAxle':
      return slots(AXLES, (wheel) => (wheel[0] === 'l' ? OUTER_FIRST : INNER_FIRST));
    case 'outerFirst':
      return slots(AXLES, () => OUTER_FIRST);
  }
}

function slots(wheels: readonly Wheel[], ribsOf: (wheel: Wheel) => readonly Rib[]): Slot[] {
  return wheels.flatMap((wheel) => ribsOf(wheel).map((rib) => ({ wheel, rib })));
}
