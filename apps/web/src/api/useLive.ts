import { liveEventSchema } from '@keen/contract';
import { useEffect } from 'react';
import { useApiDispatch } from './hooks.ts';
import { keenApi } from './keenApi.ts';
import { takeIn } from './takeIn.ts';

/** Listens to the shop's live changes while the page is open. */
export function useLive(): void {
  const dispatch = useApiDispatch();
  useEffect(() => {
    const source = new EventSource('/api/live');
    let wasOpen = false;
    source.onopen = () => {
      // After a break there may be changes nobody told us of.
      if (wasOpen) dispatch(keenApi.util.invalidateTags(['Visits', 'Visit']));
      wasOpen = true;
    };
    source.onmessage = ({ data }: MessageEvent<string>) => {
      const event = liveEventSchema.safeParse(JSON.parse(data));
      if (!event.success) return;
      const { visitId } = event.data;
      if (event.data.kind === 'entries') {
        dispatch(takeIn(visitId, event.data.entries));
        dispatch(keenApi.util.invalidateTags(['Visits']));
      } else {
        dispatch(keenApi.util.invalidateTags(['Visits', { type: 'Visit', id: visitId }]));
      }
    };
    return () => source.close();
  }, [dispatch]);
}
