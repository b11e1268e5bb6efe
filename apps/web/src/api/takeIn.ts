import type { StoredEntry } from '@keen/contract';
import type { ThunkAction, UnknownAction } from '@reduxjs/toolkit';
import { keenApi } from './keenApi.ts';
import { mergeEntries } from './mergeEntries.ts';

type ApiState = Record<typeof keenApi.reducerPath, ReturnType<typeof keenApi.reducer>>;

/** Brings stored entries into the visit at hand, or has it fetched when some in between are missing. */
export function takeIn(
  visitId: string,
  stored: readonly StoredEntry[],
): ThunkAction<void, ApiState, unknown, UnknownAction> {
  return (dispatch, getState) => {
    const { data } = keenApi.endpoints.visit.select(visitId)(getState());
    // A visit that is just being fetched may have been read before these were stored.
    const merged = data ? mergeEntries(data, stored) : null;
    if (merged === null) dispatch(keenApi.util.invalidateTags([{ type: 'Visit', id: visitId }]));
    else dispatch(keenApi.util.updateQueryData('visit', visitId, () => merged));
  };
}
