import { liveEventSchema } from '@keen/contract';
import { useEffect } from 'react';
import { refreshAhead } from '../offline/register.ts';
import { useApiDispatch, useApiStore } from './hooks.ts';
import type { ApiState } from './hooks.ts';
import { keenApi } from './keenApi.ts';
import { onStale } from './staleCache.ts';
import { shopApi } from './shopApi.ts';
import { applyEntries, applyVisit } from './applyLive.ts';

/** After an answer that may be old the server is asked again this much later. */
const ASK_AGAIN_MS = 4_000;
/** After a refusal the line is tried again this much later, after each more twice as late, up to a minute. */
const RETRY_MS = 4_000;
const LONGEST_RETRY_MS = 60_000;
/** The server remembers no longer. */
const LONGEST_ASKED_MS = 60_000;
/** What changes are told of, and is asked for again where some may have been missed. */
const LIVE_TAGS = [
  'Session',
  'Visits',
  'Visit',
  'Sheets',
  'Due',
  'Gauges',
  'Learning',
] as const satisfies Parameters<typeof keenApi.util.invalidateTags>[0];

/** Listens to the shop's live changes while the page is open. */
export function useLive(): void {
  const dispatch = useApiDispatch();
  const store = useApiStore();
  useEffect(() => {
    const hear = ({ data }: MessageEvent<string>) => {
      const event = liveEventSchema.safeParse(JSON.parse(data));
      if (!event.success) return;
      switch (event.data.kind) {
        case 'entries':
          dispatch(applyEntries(event.data.visitId, event.data.entries));
          refreshAhead();
          break;
        case 'visit':
          dispatch(applyVisit(event.data.visit));
          refreshAhead();
          break;
        case 'sheets':
          dispatch(keenApi.util.invalidateTags(['Sheets']));
          break;
        case 'gauges':
          dispatch(keenApi.util.invalidateTags(['Gauges']));
          break;
        case 'learning':
          dispatch(keenApi.util.invalidateTags(['Learning']));
          break;
        case 'archive':
          void dispatch(shopApi.util.upsertQueryData('archiveProgress', undefined, event.data));
          break;
        case 'settings':
          dispatch(keenApi.util.invalidateTags(['Session']));
          break;
        case 'missed':
          dispatch(keenApi.util.invalidateTags(LIVE_TAGS));
      }
    };
    let wasBroken = false;
    let refusals = 0;
    let retry: ReturnType<typeof setTimeout> | undefined;
    let source: EventSource;
    const connect = () => {
      source = new EventSource(`/api/live?shownForMs=${shownForMs(store.getState())}`);
      source.onopen = () => {
        // After a break, also one before the first answer, there may be changes nobody told us of.
        if (wasBroken) dispatch(keenApi.util.invalidateTags(LIVE_TAGS));
        wasBroken = false;
        refusals = 0;
      };
      source.onmessage = hear;
      source.onerror = () => {
        wasBroken = true;
        // Refused, not merely broken off: signed out elsewhere, suspended, or with a new password.
        if (source.readyState === EventSource.CLOSED) {
          dispatch(keenApi.util.invalidateTags(['Session']));
          // Or a proxy answered for a server that is being started: the browser does not ask again by itself.
          retry = setTimeout(connect, Math.min(RETRY_MS * 2 ** refusals++, LONGEST_RETRY_MS));
        }
      };
    };
    connect();
    let timer: ReturnType<typeof setTimeout> | undefined;
    const ignore = onStale(() => {
      clearTimeout(timer);
      timer = setTimeout(
        () =>
          dispatch(keenApi.util.invalidateTags(['Session', 'Visits', 'Visit', 'Sheets', 'Lines'])),
        ASK_AGAIN_MS,
      );
    });
    return () => {
      source.close();
      clearTimeout(retry);
      ignore();
      clearTimeout(timer);
    };
  }, [dispatch, store]);
}

/** How long ago the oldest answer that the page shows arrived, ms. */
function shownForMs(state: ApiState): number {
  const { fulfilledTimeStamp } = keenApi.endpoints.session.select()(state);
  const ago = fulfilledTimeStamp === undefined ? 0 : Date.now() - fulfilledTimeStamp;
  return Math.min(Math.max(0, ago), LONGEST_ASKED_MS);
}
