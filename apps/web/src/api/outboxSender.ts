import type { Entry, ValidationIssue } from '@keen/contract';
import type { Middleware } from '@reduxjs/toolkit';
import { createListenerMiddleware, isAnyOf } from '@reduxjs/toolkit';
import type { ApiState } from './hooks.ts';
import { keenApi } from './keenApi.ts';
import { outbox } from './outboxSlice.ts';
import type { Pending } from './outboxSlice.ts';
import { forgetPending, savePending, saveReason } from './outboxStorage.ts';
import { failureOf } from './problem.ts';
import type { Failure } from './problem.ts';
import { applyEntries } from './applyLive.ts';
import { t } from '../words/api.ts';
import { expectedWords } from '../words/expected.ts';

const FIRST_RETRY_MS = 500;
const LONGEST_RETRY_MS = 10_000;
const MOST_AT_ONCE = 200;
/** An entry that makes the server fail this often, alone and with the server ready, is set aside. */
const MOST_FAILURES = 4;

const sender = createListenerMiddleware<ApiState>();

/** Sends what was entered, in order, as long as there is something; keeps a copy until it is there. */
export const outboxSender: Middleware = sender.middleware;

sender.startListening({
  matcher: isAnyOf(outbox.entered, outbox.undid, outbox.redid),
  effect: (_action, api) => {
    const latest = api.getState().outbox.pending.at(-1);
    return latest && savePending(latest);
  },
});
sender.startListening({
  actionCreator: outbox.sent,
  effect: ({ payload }) => forgetPending(payload),
});
sender.startListening({
  actionCreator: outbox.setAside,
  effect: ({ payload }) => saveReason(payload.ids, payload.reason),
});
sender.startListening({
  actionCreator: outbox.triedAgain,
  effect: ({ payload }) => saveReason([payload], null),
});
sender.startListening({
  actionCreator: outbox.dismissed,
  effect: ({ payload }) => forgetPending([payload]),
});
sender.startListening({
  matcher: keenApi.endpoints.session.matchFulfilled,
  effect: ({ payload }, { dispatch }) => {
    dispatch(outbox.signedIn(payload));
  },
});

/** How sending one visit's entries stands; a visit that fails waits by itself. */
interface Progress {
  /** Entries sent at once; halved while a batch is too large or holds one that is refused. */
  most: number;
  failures: number;
  retryMs: number;
  notBefore: number;
}

let isSending = false;

sender.startListening({
  matcher: isAnyOf(
    outbox.entered,
    outbox.undid,
    outbox.redid,
    outbox.triedAgain,
    outbox.signedIn,
    keenApi.endpoints.session.matchFulfilled,
  ),
  effect: async (_action, api) => {
    if (isSending) return;
    isSending = true;
    const visits = new Map<string, Progress>();
    let retryMs = FIRST_RETRY_MS;
    try {
      for (;;) {
        const { owner, pending } = api.getState().outbox;
        if (owner === null || pending.length === 0) return;
        const turn = nextVisit(pending, visits);
        if (turn.waitMs > 0) {
          await api.delay(Math.min(turn.waitMs, LONGEST_RETRY_MS));
          continue;
        }
        const { visitId, progress } = turn;
        const entries = pending
          .filter((one) => one.visitId === visitId)
          .slice(0, progress.most)
          .map(({ entry }) => entry);
        const result = await api.dispatch(
          keenApi.endpoints.appendEntries.initiate({ visitId, entries }, { track: false }),
        );
        // Whoever typed this has signed out meanwhile: what was not taken waits for them.
        if (api.getState().outbox.owner?.personId !== owner.personId) continue;
        if ('data' in result && result.data) {
          api.dispatch(applyEntries(visitId, result.data.entries));
          api.dispatch(outbox.sent(entries.map(({ id }) => id)));
          Object.assign(progress, {
            most: Math.min(MOST_AT_ONCE, progress.most * 2),
            failures: 0,
            retryMs: FIRST_RETRY_MS,
          });
          retryMs = FIRST_RETRY_MS;
          continue;
        }
        const failure = failureOf(result.error);
        const next = afterFailure(failure, entries, progress, await isServerReady(failure));
        switch (next.kind) {
          case 'aside':
            api.dispatch(outbox.setAside(next));
            break;
          case 'smaller':
            progress.most = Math.max(1, Math.floor(entries.length / 2));
            break;
          case 'visitWaits':
            progress.failures++;
            progress.notBefore = Date.now() + progress.retryMs;
            progress.retryMs = Math.min(LONGEST_RETRY_MS, progress.retryMs * 2);
            api.dispatch(outbox.waits(failure.text));
            break;
          case 'signIn':
            // The next session goes on from here.
            api.dispatch(outbox.waits(failure.text));
            return;
          case 'allWait':
            api.dispatch(outbox.waits(failure.text));
            await api.delay(retryMs);
            retryMs = Math.min(LONGEST_RETRY_MS, retryMs * 2);
        }
      }
    } finally {
      isSending = false;
    }
  },
});

type Turn = { waitMs: number; visitId: string; progress: Progress };

/** The visit whose entries were typed first, of those that do not wait; else how long to wait for one. */
function nextVisit(pending: readonly Pending[], visits: Map<string, Progress>): Turn {
  let soonest: Turn | null = null;
  for (const { visitId } of pending) {
    let progress = visits.get(visitId);
    if (!progress) {
      progress = { most: MOST_AT_ONCE, failures: 0, retryMs: FIRST_RETRY_MS, notBefore: 0 };
      visits.set(visitId, progress);
    }
    const waitMs = Math.max(0, progress.notBefore - Date.now());
    if (soonest === null || waitMs < soonest.waitMs) soonest = { waitMs, visitId, progress };
    if (waitMs === 0) break;
  }
  return soonest!;
}

/** Only where the server fails is it worth knowing whether it is this entry's doing. */
async function isServerReady(failure: Failure): Promise<boolean> {
  if (failure.status !== 500) return false;
  return fetch('/api/ready').then(
    ({ ok }) => ok,
    () => false,
  );
}

type AfterFailure =
  | { kind: 'aside'; ids: string[]; reason: string }
  | { kind: 'smaller' | 'visitWaits' | 'signIn' | 'allWait' };

/**
 * What to do with a batch that was not taken. Nothing is dropped: an entry is sent again, or set aside
 * where its author sees it.
 * @param isReady - whether the server works but for this batch
 */
export function afterFailure(
  failure: Failure,
  entries: readonly Entry[],
  progress: Pick<Progress, 'failures'>,
  isReady: boolean,
): AfterFailure {
  const { status, text } = failure;
  if (status === 401) return { kind: 'signIn' };
  if (status === 500 && isReady) {
    if (entries.length > 1) return { kind: 'smaller' };
    if (progress.failures < MOST_FAILURES) return { kind: 'visitWaits' };
    return { kind: 'aside', ids: entries.map(({ id }) => id), reason: text };
  }
  if (failure.isPassing || status === null || status >= 500) return { kind: 'allWait' };
  const wrong = refusedIds(entries, failure.refusals);
  if (wrong.length > 0) {
    const [first] = failure.refusals;
    return {
      kind: 'aside',
      ids: wrong,
      reason: first ? t('problem.expected', { text, expected: expectedWords(first) }) : text,
    };
  }
  // The visit is not there: none of them will ever be taken.
  if (status !== 404 && entries.length > 1) return { kind: 'smaller' };
  return { kind: 'aside', ids: entries.map(({ id }) => id), reason: text };
}

/** Of a batch that was refused, the entries that the answer names. */
export function refusedIds(
  entries: readonly Entry[],
  refusals: readonly ValidationIssue[],
): string[] {
  const wrong = new Set(
    refusals.flatMap(({ path }) => {
      const index = /^entries\.(\d+)/.exec(path)?.[1];
      return index === undefined ? [] : [Number(index)];
    }),
  );
  return entries.filter((_, index) => wrong.has(index)).map(({ id }) => id);
}
