import type { DueReminder, DueRow } from '@keen/contract';
import { useState } from 'react';
import { keenApi, useAppendEntriesMutation } from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { newId } from '../../shared/newId.ts';
import { t } from '../../words/due.ts';

/** Marks one due thing as done or dismissed, on the visit that it came from. */
export function useSettleDue({ visitId, place }: DueRow): {
  settle: (state: DueReminder['state']) => Promise<void>;
  isSettling: boolean;
  failure: string | null;
} {
  const [askVisit] = keenApi.useLazyVisitQuery();
  const [append, { isLoading }] = useAppendEntriesMutation();
  const [failure, setFailure] = useState<string | null>(null);

  async function settle(state: DueReminder['state']): Promise<void> {
    setFailure(null);
    const asked = await askVisit(visitId);
    // Somebody may have changed the list meanwhile: the change is made to what stands now.
    const next = asked.data?.visit.draft.visit?.handOver?.next;
    if (!next?.[place]) {
      setFailure(asked.error ? failureOf(asked.error).text : t('useSettleDue.theListHasChanged'));
      return;
    }
    const value = next.map((reminder, i) => (i === place ? { ...reminder, state } : reminder));
    const entry = { id: newId(), path: 'visit.handOver.next', value, at: new Date().toISOString() };
    const kept = await append({ visitId, entries: [entry] });
    if (kept.error) setFailure(failureOf(kept.error).text);
  }

  return { settle, isSettling: isLoading, failure };
}
