import type { StoredEntry, Visit, VisitDetail, VisitPage } from '@keen/contract';
import { foldEntries } from '@keen/core';
import { copyWithStructuralSharing } from '@reduxjs/toolkit/query';

/**
 * Brings newly stored entries into a visit at hand.
 * @returns the visit with them, or null when entries in between are missing and it must be fetched
 */
export function mergeEntries(
  detail: VisitDetail,
  stored: readonly StoredEntry[],
): VisitDetail | null {
  const fresh = nextEntries(detail.visit, stored);
  if (fresh === null) return null;
  if (fresh.length === 0) return detail;
  return {
    ...detail,
    visit: withNext(detail.visit, fresh),
    entries: [...detail.entries, ...fresh],
  };
}

/** The same for a visit as lists have it. */
export function mergeIntoRow(visit: Visit, stored: readonly StoredEntry[]): Visit | null {
  const fresh = nextEntries(visit, stored);
  return fresh && withNext(visit, fresh);
}

/**
 * A visit as the server has just answered, with the entries at hand that were stored after it was read:
 * an answer that was long under way takes nothing back.
 */
export function mergeNewer(known: VisitDetail, answer: VisitDetail): VisitDetail {
  return copyWithStructuralSharing(known, mergeEntries(answer, known.entries) ?? answer);
}

/** The same for the rows of a list, whose entries are not at hand. */
export function mergeNewerRows(known: VisitPage, answer: VisitPage): VisitPage {
  const before = new Map(known.visits.map((visit) => [visit.id, visit]));
  const visits = answer.visits.map((visit) => {
    const had = before.get(visit.id);
    if (!had || had.seq <= visit.seq) return visit;
    const { draft, seq, waits } = had;
    return { ...visit, draft, seq, waits };
  });
  return copyWithStructuralSharing(known, { ...answer, visits });
}

/** Those that the visit does not have yet, in order; null when some in between are missing. */
function nextEntries(visit: Visit, stored: readonly StoredEntry[]): StoredEntry[] | null {
  const fresh = stored.filter(({ seq }) => seq > visit.seq).toSorted((a, b) => a.seq - b.seq);
  return fresh.every(({ seq }, i) => seq === visit.seq + i + 1) ? fresh : null;
}

function withNext(visit: Visit, fresh: readonly StoredEntry[]): Visit {
  const draft = foldEntries(visit.draft, fresh);
  return { ...visit, draft, seq: visit.seq + fresh.length, waits: draft.visit?.waits ?? null };
}
