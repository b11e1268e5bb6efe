import type { VisitDetail, VisitDraft } from '@keen/contract';
import { foldEntries, headsOf, allowsTwoReadings } from '@keen/core';
import type { FieldChange } from '@keen/core';
import { copyWithStructuralSharing } from '@reduxjs/toolkit/query';
import { useLayoutEffect, useMemo, useRef, useState } from 'react';
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

  const folded = useMemo(() => {
    const known = new Set(detail.entries.map(({ id }) => id));
    const own = pending.filter((one) => one.visitId === visitId && !known.has(one.entry.id));
    return foldEntries(
      detail.visit.draft,
      own.map(({ entry }) => entry),
    );
  }, [detail, pending, visitId]);
  const draft = useUnchanged(folded);

  // One set of functions for good, so that a saved entry does not draw every field of the step anew.
  const latest = useRef({ detail, pending, draft });
  useLayoutEffect(() => {
    latest.current = { detail, pending, draft };
  });
  const ways = useMemo(() => {
    const headsAt = (path: string) => seenOf(latest.current.detail, latest.current.pending, path);
    const entryOf = (path: string, value: unknown) => ({
      visitId,
      entry: {
        id: newId(),
        path,
        value,
        at: new Date().toISOString(),
        ...(allowsTwoReadings(path) ? { over: headsAt(path) } : {}),
      },
    });

    function put({ path, value }: FieldChange, act?: string): void {
      const before = fieldAt(latest.current.draft, path);
      // The value that stands may be entered once more: to choose it from two that differ.
      const isChoice = allowsTwoReadings(path) && headsAt(path).length > 1;
      if (JSON.stringify(before) === JSON.stringify(value) && !isChoice) return;
      dispatch(outbox.entered({ pending: entryOf(path, value), before, act }));
    }

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

    return {
      enter: (path: string, value: unknown) => put({ path, value }),
      enterAll: (changes: readonly FieldChange[]) => {
        const act = newId();
        for (const change of changes) put(change, act);
      },
      undo: () => goBack('done'),
      redo: () => goBack('undone'),
    };
  }, [dispatch, store, visitId]);

  return {
    draft,
    enter: ways.enter,
    enterAll: ways.enterAll,
    undo: lastDone?.visitId === visitId ? ways.undo : null,
    redo: lastUndone?.visitId === visitId ? ways.redo : null,
  };
}

/**
 * The object of before, and its parts, where the content is the same: a saved entry that comes back from
 * the server changes nothing, so nothing is drawn anew for it.
 */
function useUnchanged<T>(value: T): T {
  const [kept, keep] = useState(value);
  const next = copyWithStructuralSharing<T>(kept, value);
  if (next !== kept) keep(next);
  return next;
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
