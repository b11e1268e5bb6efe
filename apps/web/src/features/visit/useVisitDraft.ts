import type { VisitDetail, VisitDraft } from '@keen/contract';
import { foldEntries, headsOf, allowsTwoReadings } from '@keen/core';
import type { FieldChange } from '@keen/core';
import { useCallback, useMemo } from 'react';
import { useApiDispatch, useApiSelector, useApiStore } from '../../api/hooks.ts';
import { outbox } from '../../api/outboxSlice.ts';
import type { Pending } from '../../api/outboxSlice.ts';
import { fieldAt } from '@keen/core';
import { newId } from '../../shared/newId.ts';

/**
 * The draft of a visit as this person sees it: what the server has, with what is still on its way
 * folded on top; and the ways to change it.
 */
export function useVisitDraft(detail: VisitDetail): {
  draft: VisitDraft;
  enter: (path: string, value: unknown) => void;
  enterAll: (changes: readonly FieldChange[]) => void;
  undo: (() => void) | null;
  redo: (() => void) | null;
} {
  const visitId = detail.visit.id;
  const dispatch = useApiDispatch();
  const pending = useApiSelector((state) => state.outbox.pending);
  const lastDone = useApiSelector((state) => state.outbox.done.at(-1));
  const lastUndone = useApiSelector((state) => state.outbox.undone.at(-1));
  const store = useApiStore();

  const draft = useMemo(() => {
    const known = new Set(detail.entries.map(({ id }) => id));
    const own = pending.filter((one) => one.visitId === visitId && !known.has(one.entry.id));
    return foldEntries(
      detail.visit.draft,
      own.map(({ entry }) => entry),
    );
  }, [detail, pending, visitId]);

  const entryOf = useCallback(
    (path: string, value: unknown) => ({
      visitId,
      entry: {
        id: newId(),
        path,
        value,
        at: new Date().toISOString(),
        ...(allowsTwoReadings(path) ? { over: seenOf(detail, pending, path) } : {}),
      },
    }),
    [visitId, detail, pending],
  );

  const put = useCallback(
    ({ path, value }: FieldChange, act?: string) => {
      const before = fieldAt(draft, path);
      // The value that stands may be entered once more: to choose it from two that differ.
      const isChoice = allowsTwoReadings(path) && seenOf(detail, pending, path).length > 1;
      if (JSON.stringify(before) === JSON.stringify(value) && !isChoice) return;
      dispatch(outbox.entered({ pending: entryOf(path, value), before, act }));
    },
    [dispatch, draft, entryOf, detail, pending],
  );
  const enter = useCallback((path: string, value: unknown) => put({ path, value }), [put]);
  const enterAll = useCallback(
    (changes: readonly FieldChange[]) => {
      const act = newId();
      for (const change of changes) put(change, act);
    },
    [put],
  );

  /** Takes back, or does again, the last change and those of the same act. */
  function goBack(way: 'done' | 'undone'): void {
    const last = store.getState().outbox[way].at(-1);
    for (let next = last; next; next = store.getState().outbox[way].at(-1)) {
      if (next !== last && (next.act === undefined || next.act !== last?.act)) return;
      dispatch(
        way === 'done'
          ? outbox.undid(entryOf(next.path, next.before))
          : outbox.redid(entryOf(next.path, next.after)),
      );
    }
  }

  const canUndo = lastDone?.visitId === visitId;
  const canRedo = lastUndone?.visitId === visitId;
  return {
    draft,
    enter,
    enterAll,
    undo: canUndo ? () => goBack('done') : null,
    redo: canRedo ? () => goBack('undone') : null,
  };
}

/** What this person sees of a field: what the server has, and what is on its way from here. */
function seenOf(detail: VisitDetail, pending: readonly Pending[], path: string): string[] {
  const own = pending
    .filter((one) => one.visitId === detail.visit.id)
    .map(({ entry }) => ({ ...entry, personId: '' }));
  const known = new Set(detail.entries.map(({ id }) => id));
  const all = [...detail.entries, ...own.filter(({ id }) => !known.has(id))];
  return headsOf(all, path).map(({ id }) => id);
}
