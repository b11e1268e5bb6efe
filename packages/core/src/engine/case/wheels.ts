import type { Axle, Side, Wheel } from '@keen/contract/words';

/** Order of the wheels in the engine's arrays; differs from walk-round order on purpose. */
export const WHEEL_ORDER = ['lf', 'rf', 'lr', 'rr'] as const satisfies readonly Wheel[];

export const WHEELS_OF_AXLE: Record<Axle, readonly [Wheel, Wheel]> = {
  front: ['lf', 'rf'],
  rear: ['lr', 'rr'],
};

/**
 * The axle that a wheel is on.
 * @example axleOf('lr') // 'rear'
 */
export function axleOf(wheel: Wheel): Axle {
  return wheel === 'lf' || wheel === 'rf' ? 'front' : 'rear';
}

/**
 * The wheels of a place: both of an axle, or the one.
 * @example wheelsAt('rear') // ['lr', 'rr']
 */
export function wheelsAt(where: Wheel | Axle): readonly Wheel[] {
  return where === 'front' || where === 'rear' ? WHEELS_OF_AXLE[where] : [where];
}

/**
 * The side of the car that a wheel is on, as the driver sits.
 * @example sideOf('lr') // 'left'
 */
export function sideOf(wheel: Wheel): Side {
  return wheel === 'lf' || wheel === 'lr' ? 'left' : 'right';
}
