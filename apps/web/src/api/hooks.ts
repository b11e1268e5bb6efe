import type { ThunkDispatch, UnknownAction } from '@reduxjs/toolkit';
import { useDispatch, useSelector, useStore } from 'react-redux';
import type { keenApi } from './keenApi.ts';
import type { OutboxState } from './outboxSlice.ts';

/** The part of the store that everything below `app` may rely on. */
export type ApiState = { outbox: OutboxState } & Record<
  typeof keenApi.reducerPath,
  ReturnType<typeof keenApi.reducer>
>;

export const useApiDispatch =
  useDispatch.withTypes<ThunkDispatch<ApiState, unknown, UnknownAction>>();
export const useApiSelector = useSelector.withTypes<ApiState>();
export const useApiStore: () => { getState: () => ApiState } = useStore<ApiState>;
