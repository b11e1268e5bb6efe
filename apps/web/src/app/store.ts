import { configureStore } from '@reduxjs/toolkit';
import { keenApi } from '../api/keenApi.ts';
import { outboxSender } from '../api/outboxSender.ts';
import { initialOutbox, outboxSlice } from '../api/outboxSlice.ts';
import type { Pending } from '../api/outboxSlice.ts';

/** @param pending - what was typed before and not yet sent */
export function createStore(pending: Pending[] = []) {
  return configureStore({
    reducer: {
      [keenApi.reducerPath]: keenApi.reducer,
      [outboxSlice.name]: outboxSlice.reducer,
    },
    preloadedState: { outbox: { ...initialOutbox, pending } },
    middleware: (standard) => standard().prepend(outboxSender).concat(keenApi.middleware),
  });
}
