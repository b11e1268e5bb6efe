import { configureStore } from '@reduxjs/toolkit';
import { keenApi } from '../api/keenApi.ts';
import { outboxSender } from '../api/outboxSender.ts';
import { initialOutbox, outboxSlice } from '../api/outboxSlice.ts';
import type { Aside, Pending } from '../api/outboxSlice.ts';

/** @param stored - what was typed before and not yet sent, by whomever */
export function createStore(stored: (Pending | Aside)[] = []) {
  return configureStore({
    reducer: {
      [keenApi.reducerPath]: keenApi.reducer,
      [outboxSlice.name]: outboxSlice.reducer,
    },
    preloadedState: { outbox: { ...initialOutbox, ofOthers: stored } },
    middleware: (standard) => standard().prepend(outboxSender).concat(keenApi.middleware),
  });
}
