import type { StoredEntry, Visit, VisitPage } from '@keen/contract';
import { current } from '@reduxjs/toolkit';
import type { ThunkAction, UnknownAction } from '@reduxjs/toolkit';
import { keenApi } from './keenApi.ts';
import { mergeEntries, mergeIntoRow } from './mergeEntries.ts';

type ApiState = Record<typeof keenApi.reducerPath, ReturnType<typeof keenApi.reducer>>;
type Thunk = ThunkAction<void, ApiState, unknown, UnknownAction>;

/** Brings stored entries into whatever shows their visit, or has it fetched when some in between are missing. */
export function applyEntries(visitId: string, stored: readonly StoredEntry[]): Thunk {
  return (dispatch, getState) => {
    const { data } = keenApi.endpoints.visit.select(visitId)(getState());
    // A visit that is just being fetched may have been read before these were stored.
    const merged = data ? mergeEntries(data, stored) : null;
    if (merged === null) dispatch(keenApi.util.invalidateTags([{ type: 'Visit', id: visitId }]));
    else dispatch(keenApi.util.updateQueryData('visit', visitId, () => merged));
    let isGap = false;
    dispatch(
      changeLists((page) => {
        const at = page.visits.findIndex(({ id }) => id === visitId);
        if (at < 0) return;
        const row = mergeIntoRow(current(page.visits[at]!), stored);
        if (row) page.visits[at] = row;
        else isGap = true;
      }),
    );
    if (isGap) dispatch(keenApi.util.invalidateTags(['Visits']));
  };
}

/** Brings a visit that has changed, or just arrived, into the lists that show it. */
export function applyVisit(visit: Visit): Thunk {
  return (dispatch) => {
    dispatch(
      changeLists((page, { isOpenOnly, isFirst, words }) => {
        const at = page.visits.findIndex(({ id }) => id === visit.id);
        if (isOpenOnly && visit.closedAt !== null) {
          if (at >= 0) page.visits.splice(at, 1);
        } else if (at >= 0) {
          // Entries may have come that this was read before.
          if (page.visits[at]!.seq <= visit.seq) page.visits[at] = visit;
        } else if (isFirst && words === '') {
          const later = page.visits.findIndex(({ arrivedAt }) => arrivedAt < visit.arrivedAt);
          if (later >= 0 || page.before === null) {
            page.visits.splice(later < 0 ? page.visits.length : later, 0, visit);
          }
        }
      }),
    );
    dispatch(keenApi.util.invalidateTags([{ type: 'Visit', id: visit.id }]));
  };
}

interface ListKind {
  isOpenOnly: boolean;
  isFirst: boolean;
  words: string;
}

/** Changes the pages of every list of visits that is at hand. */
function changeLists(change: (page: VisitPage, kind: ListKind) => void): Thunk {
  return (dispatch, getState) => {
    dispatch(
      keenApi.util.updateQueryData('openVisits', undefined, (page) =>
        change(page, { isOpenOnly: true, isFirst: true, words: '' }),
      ),
    );
    for (const words of keenApi.util.selectCachedArgsForQuery(getState(), 'searchVisits')) {
      dispatch(
        keenApi.util.updateQueryData('searchVisits', words, ({ pages }) =>
          pages.forEach((page, i) => change(page, { isOpenOnly: false, isFirst: i === 0, words })),
        ),
      );
    }
  };
}
