import type { StoredEntry, VisitDetail } from '@keen/contract';
import { foldEntries } from '@keen/core';

/**
 * Brings newly stored entries into a visit at hand.
 * @returns the visit with them, or null when entries in between are missing and it must be fetched
 */
export function mergeEntries(
  detail: VisitDetail,
  stored: readonly StoredEntry[],
): VisitDetail | null {
  const fresh = stored
    .filter((entry) => entry.seq > detail.visit.seq)
    .toSorted((a, b) => a.seq - b.seq);
  if (fresh.length === 0) return detail;
  const isGapless = fresh.every((entry, index) => entry.seq === detail.visit.seq + index + 1);
  if (!isGapless) return null;
  const draft = foldEntries(detail.visit.draft, fresh);
  return {
    ...detail,
    visit: {
      ...detail.visit,
      draft,
      seq: detail.visit.seq + fresh.length,
      waits: draft.visit?.waits ?? null,
    },
    entries: [...detail.entries, ...fresh],
  };
}
