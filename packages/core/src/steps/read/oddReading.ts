import type { VisitDraft } from '@keen/contract';
import type { Rib } from '@keen/contract/words';
import { DEPTH_SLACK_MM, RIBS } from '@keen/contract/words';
import type { Slot } from './readingOrder.ts';

/** Neighbouring ribs hardly differ by more (common practice, no source), mm. */
const FAR_MM = 3.5;

/** Why a reading is asked about. */
export type Oddity =
  { kind: 'deeperThanNew'; newMm: number } | { kind: 'farFromNeighbour'; rib: Rib; mm: number };

/**
 * Whether a reading is worth asking about once: deeper than the tire was new, or far from a neighbouring
 * rib at the same place.
 * @param mm - the reading
 */
export function oddReading(draft: VisitDraft, slot: Slot, mm: number, station = 0): Oddity | null {
  const tire = draft.tires?.[slot.wheel];
  const newMm = tire?.newDepth;
  if (newMm !== undefined && mm > newMm + DEPTH_SLACK_MM) return { kind: 'deeperThanNew', newMm };
  const at = RIBS.indexOf(slot.rib);
  for (const rib of [RIBS[at - 1], RIBS[at + 1]]) {
    const other = rib && tire?.stations?.[station]?.[rib];
    if (rib && typeof other === 'number' && Math.abs(other - mm) > FAR_MM) {
      return { kind: 'farFromNeighbour', rib, mm: other };
    }
  }
  return null;
}
