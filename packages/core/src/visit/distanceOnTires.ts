import type { VisitDraft } from '@keen/contract';

/** How far the tires on a car have run, said as shortly as it can be. */
export type DistanceOnTires =
  | { kind: 'same'; km: number }
  /** The tires of an axle alike, those of the other not. */
  | { kind: 'axles'; frontKm: number; rearKm: number }
  | { kind: 'range'; leastKm: number; mostKm: number };

/**
 * The distance on the tires of a visit.
 * @returns null where it is known of none; those whose distance is not known do not count
 * @example distanceOnTires({ tires: { lf: { distance: 30000 }, rf: { distance: 30000 } } }) // { kind: 'same', km: 30000 }
 */
export function distanceOnTires({ tires = {} }: VisitDraft): DistanceOnTires | null {
  const of = (...wheels: readonly (keyof typeof tires)[]) =>
    wheels.flatMap((wheel) => tires[wheel]?.distance ?? []);
  const [front, rear] = [of('lf', 'rf'), of('lr', 'rr')];
  const all = [...front, ...rear];
  if (all.length === 0) return null;
  const [leastKm, mostKm] = [Math.min(...all), Math.max(...all)];
  if (leastKm === mostKm) return { kind: 'same', km: mostKm };
  const isAlike = (list: readonly number[]) => new Set(list).size === 1;
  return isAlike(front) && isAlike(rear)
    ? { kind: 'axles', frontKm: front[0]!, rearKm: rear[0]! }
    : { kind: 'range', leastKm, mostKm };
}
