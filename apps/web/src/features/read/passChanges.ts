import type { VisitDraft, Wheel } from '@keen/contract';
import { RIBS } from '@keen/contract';
import { WHEEL_ORDER } from '@keen/core';
import type { PlaceDepths } from '@keen/core';

type Readings = Partial<Record<Wheel, PlaceDepths[]>>;

/**
 * The fields that a pass changes: the depths of the tires it saw; a rib in which it found no groove keeps
 * what was read by hand at the first place, and places it did not see are dropped.
 * @returns path and value, in mm
 */
export function passChanges(
  readings: Readings,
  draft: VisitDraft,
): { path: string; value: number | 'mm' | null }[] {
  const changes: { path: string; value: number | 'mm' | null }[] = [];
  if (draft.units?.depth !== 'mm') changes.push({ path: 'units.depth', value: 'mm' });
  for (const wheel of WHEEL_ORDER) {
    const places = readings[wheel];
    if (!places) continue;
    const before = draft.tires?.[wheel]?.stations ?? [];
    for (let place = 0; place < Math.max(places.length, before.length); place++) {
      for (const rib of RIBS) {
        const path = `tires.${wheel}.stations.${place}.${rib}`;
        const mm = places[place]?.[rib] ?? null;
        if (mm !== null) changes.push({ path, value: mm });
        else if (place > 0 && before[place]?.[rib] !== undefined) {
          changes.push({ path, value: null });
        }
      }
    }
  }
  return changes;
}

/** The least depth of each rib over the places, mm; null where none was found. */
export function leastDepths(places: readonly PlaceDepths[]): PlaceDepths {
  const least = { inner: null, centre: null, outer: null } as PlaceDepths;
  for (const rib of RIBS) {
    const read = places.flatMap((place) => place[rib] ?? []);
    least[rib] = read.length > 0 ? Math.min(...read) : null;
  }
  return least;
}
