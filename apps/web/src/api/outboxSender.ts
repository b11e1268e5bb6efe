import type { Entry, Refusal } from '@keen/contract';
import type { Middleware } from '@reduxjs/toolkit';
import { createListenerMiddleware, isAnyOf } from '@reduxjs/toolkit';
import type { ApiState } from './hooks.ts';
import { keenApi } from './keenApi.ts';
import { outbox } from './outboxSlice.ts';
import { forgetPending, keepPending } from './outboxStorage.ts';
import { failureOf } from './problem.ts';
import { takeIn } from './takeIn.ts';

const FIRST_RETRY_MS = 500;
const LONGEST_RETRY_MS = 10_000;
const MOST_AT_ONCE = 200;

const sender = createListenerMiddleware<ApiState>();

/** Sends what was entered, in order, as long as there is something; keeps a copy until it is kept. */
export const outboxSender: Middleware = sender.middleware;

sender.startListening({
  actionCreator: outbox.entered,
  effect: ({ payload }) => keepPending(payload.pending),
});
sender.startListening({
  actionCreator: outbox.undid,
  effect: ({ payload }) => keepPending(payload),
});
sender.startListening({
  actionCreator: outbox.redid,
  effect: ({ payload }) => keepPending(payload),
});
sender.startListening({
  actionCreator: outbox.sent,
  effect: ({ payload }) => forgetPending(payload),
});
sender.startListening({
  actionCreator: outbox.refused,
  effect: ({ payload }) => forgetPending(payload.ids),
});

let isSending = false;

sender.startListening({
  matcher: isAnyOf(
    outbox.entered,
    outbox.undid,
    outbox.redid,
    keenApi.endpoints.session.matchFulfilled,
  ),
  effect: async (_action, api) => {
    const { dispatch } = api;
    const pending = () => api.getState().outbox.pending;
    if (isSending) return;
    isSending = true;
    let retryMs = FIRST_RETRY_MS;
    try {
      for (let first = pending()[0]; first; first = pending()[0]) {
        const { visitId } = first;
        const entries = pending()
          .filter((one) => one.visitId === visitId)
          .slice(0, MOST_AT_ONCE)
          .map(({ entry }) => entry);
        const request = dispatch(
          keenApi.endpoints.appendEntries.initiate({ visitId, entries }, { track: false }),
        );
        const result = await request;
        if ('data' in result && result.data) {
          dispatch(takeIn(visitId, result.data.entries));
          dispatch(outbox.sent(entries.map(({ id }) => id)));
          retryMs = FIRST_RETRY_MS;
          continue;
        }
        const failure = failureOf(result.error);
        if (!failure.isPassing && failure.status !== 401) {
          const detail = failure.refusals[0];
          dispatch(
            outbox.refused({
              ids: refusedIds(entries, failure.refusals),
              text: detail
                ? `${failure.text}: ${detail.path}, expected ${detail.expected}`
                : failure.text,
            }),
          );
          continue;
        }
        dispatch(outbox.waits(failure.text));
        await api.delay(retryMs);
        retryMs = Math.min(LONGEST_RETRY_MS, retryMs * 2);
      }
    } finally {
      isSending = false;
    }
  },
});

/** Of a batch that was refused, the entries that were wrong; the others are sent again without them. */
export function refusedIds(entries: readonly Entry[], refusals: readonly Refusal[]): string[] {
  const wrong = new Set(
    refusals.flatMap(({ path }) => {
      const index = /^entries\.(\d+)/.exec(path)?.[1];
      return index === undefined ? [] : [Number(index)];
    }),
  );
  return entries.filter((_, index) => wrong.size === 0 || wrong.has(index)).map(({ id }) => id);
}
