import type { VisitDraft } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';
import { RIBS } from '@keen/contract/words';

/** Every depth read on a tire so far, mm, at all its places; none for ribs that cannot be read. */
export function depthsRead(draft: VisitDraft, wheel: Wheel): number[] {
  return (draft.tires?.[wheel]?.stations ?? []).flatMap((station) =>
    RIBS.map((rib) => station?.[rib]).filter((mm) => typeof mm === 'number'),
  );
}

/** The least depth read on a tire, mm; null while none is. */
export function leastDepth(draft: VisitDraft, wheel: Wheel): number | null {
  const depths = depthsRead(draft, wheel);
  return depths.length > 0 ? Math.min(...depths) : null;
}
