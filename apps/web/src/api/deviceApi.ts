import type { GaugeState, ReaderState, RigReading, RigState } from '@keen/contract';
import {
  gaugeStateSchema,
  readerStateSchema,
  rigReadingSchema,
  rigStateSchema,
} from '@keen/contract';
import { keenApi } from './keenApi.ts';

/** The devices that stand in for real ones: played with, and read. */
const deviceApi = keenApi.injectEndpoints({
  endpoints: (build) => ({
    rig: build.query<RigState, void>({
      query: () => 'devices/rig',
      responseSchema: rigStateSchema,
      providesTags: ['Rig'],
    }),
    playRig: build.mutation<RigState, RigState>({
      query: (body) => ({ url: 'devices/rig', method: 'PUT', body }),
      responseSchema: rigStateSchema,
      // What is played shows at once; the server's answer is the same.
      onQueryStarted: async (state, { dispatch, queryFulfilled }) => {
        const patch = dispatch(deviceApi.util.updateQueryData('rig', undefined, () => state));
        await queryFulfilled.catch(() => patch.undo());
      },
    }),
    gauge: build.query<GaugeState, void>({
      query: () => 'devices/gauge',
      responseSchema: gaugeStateSchema,
      providesTags: ['Gauge'],
    }),
    playGauge: build.mutation<GaugeState, Omit<GaugeState, 'n'>>({
      query: (body) => ({ url: 'devices/gauge', method: 'PUT', body }),
      responseSchema: gaugeStateSchema,
      invalidatesTags: ['Gauge'],
    }),
    pressGauge: build.mutation<GaugeState, number>({
      query: (mm) => ({ url: 'devices/gauge/press', method: 'POST', body: { mm } }),
      responseSchema: gaugeStateSchema,
      invalidatesTags: ['Gauge'],
    }),
    reader: build.query<ReaderState, void>({
      query: () => 'devices/reader',
      responseSchema: readerStateSchema,
    }),
    playReader: build.mutation<ReaderState, ReaderState>({
      query: (body) => ({ url: 'devices/reader', method: 'PUT', body }),
      responseSchema: readerStateSchema,
      onQueryStarted: async (state, { dispatch, queryFulfilled }) => {
        const patch = dispatch(deviceApi.util.updateQueryData('reader', undefined, () => state));
        await queryFulfilled.catch(() => patch.undo());
      },
    }),
    passReader: build.mutation<ReaderState, void>({
      query: () => ({ url: 'devices/reader/pass', method: 'POST' }),
      responseSchema: readerStateSchema,
    }),
    rigReading: build.query<RigReading, void>({
      query: () => 'devices/rig/reading',
      responseSchema: rigReadingSchema,
    }),
  }),
});

export const {
  useRigQuery,
  usePlayRigMutation,
  useGaugeQuery,
  useLazyGaugeQuery,
  usePlayGaugeMutation,
  usePressGaugeMutation,
  useReaderQuery,
  usePlayReaderMutation,
  usePassReaderMutation,
  useRigReadingQuery,
} = deviceApi;
