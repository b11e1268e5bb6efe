import type { VisitDraft } from '@keen/contract';
import type { LedgerRow } from '../measure/angleLedger.ts';
import { ROUNDING } from '../measure/readings.ts';

/** Keys of the rows that somebody chose to leave as they are. One that changed since is judged again. */
export function leftRows(draft: VisitDraft, rows: readonly LedgerRow[]): string[] {
  const left = draft.visit?.setRight?.left ?? [];
  return rows
    .filter(
      ({ key, value, state }) =>
        state !== 'stale' &&
        left.some((one) => one.key === key && Math.abs(one.value - value) <= ROUNDING),
    )
    .map(({ key }) => key);
}

/** What is entered to leave rows as they are, or to take that back. */
export function leaveRows(
  draft: VisitDraft,
  rows: readonly LedgerRow[],
  isLeft: boolean,
): { path: string; value: unknown } {
  const keys = new Set(rows.map(({ key }) => key));
  const others = (draft.visit?.setRight?.left ?? []).filter(({ key }) => !keys.has(key));
  const all = isLeft ? [...others, ...rows.map(({ key, value }) => ({ key, value }))] : others;
  return { path: 'visit.setRight.left', value: all.length > 0 ? all : null };
}
