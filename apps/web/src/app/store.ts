import { configureStore } from '@reduxjs/toolkit';
import { keenApi } from '../api/keenApi.ts';
import { outboxSender } from '../api/outboxSender.ts';
import { initialOutbox, outboxSlice } from '../api/outboxSlice.ts';
import { loadPending } from '../api/outboxStorage.ts';

export function createStore() {
  return configureStore({
    reducer: {
      [keenApi.reducerPath]: keenApi.reducer,
      [outboxSlice.name]: outboxSlice.reducer,
    },
    preloadedState: { outbox: { ...initialOutbox, pending: loadPending() } },
    middleware: (standard) => standard().prepend(outboxSender).concat(keenApi.middleware),
  });
}
