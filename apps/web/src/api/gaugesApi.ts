import type {
  Instrument,
  SaveInstrument,
  SaveStudyReading,
  NewCheck,
  NewStudy,
  Study,
  StudyPage,
  UsedSpread,
} from '@keen/contract';
import {
  instrumentListSchema,
  studyPageSchema,
  studySchema,
  usedSpreadSchema,
} from '@keen/contract';
import { keenApi } from './keenApi.ts';

/** Gauge studies, and the shop's gauges with their checks. */
export const gaugesApi = keenApi.injectEndpoints({
  endpoints: (build) => ({
    /** Latest first, page by page. */
    studies: build.infiniteQuery<StudyPage, void, string | null>({
      query: ({ pageParam: before }) => ({
        url: 'gauge-studies',
        params: before === null ? {} : { before },
      }),
      infiniteQueryOptions: {
        initialPageParam: null,
        getNextPageParam: ({ before }) => before ?? undefined,
      },
      responseSchema: studyPageSchema,
      providesTags: ['Gauges'],
    }),
    study: build.query<Study, string>({
      query: (id) => `gauge-studies/${id}`,
      responseSchema: studySchema,
      providesTags: ['Gauges'],
    }),
    newStudy: build.mutation<Study, NewStudy>({
      query: (body) => ({ url: 'gauge-studies', method: 'POST', body }),
      responseSchema: studySchema,
      invalidatesTags: ['Gauges'],
    }),
    saveStudyReading: build.mutation<Study, { id: string; reading: SaveStudyReading }>({
      query: ({ id, reading }) => ({
        url: `gauge-studies/${id}/reading`,
        method: 'PUT',
        body: reading,
      }),
      responseSchema: studySchema,
      // The answer is the study as it is now; it need not be asked for again.
      onQueryStarted: async ({ id }, { dispatch, queryFulfilled }) => {
        const answer = await queryFulfilled.catch(() => null);
        if (answer) void dispatch(gaugesApi.util.upsertQueryData('study', id, answer.data));
      },
    }),
    closeStudy: build.mutation<Study, { id: string; closed: boolean }>({
      query: ({ id, closed }) => ({
        url: `gauge-studies/${id}/closed`,
        method: 'PUT',
        body: { closed },
      }),
      responseSchema: studySchema,
      invalidatesTags: ['Gauges'],
    }),
    useStudySpread: build.mutation<UsedSpread, string>({
      query: (id) => ({ url: `gauge-studies/${id}/used`, method: 'PUT' }),
      responseSchema: usedSpreadSchema,
      invalidatesTags: ['Session'],
    }),
    instruments: build.query<Instrument[], void>({
      query: () => 'instruments',
      responseSchema: instrumentListSchema,
      providesTags: ['Gauges'],
    }),
    saveInstrument: build.mutation<Instrument[], { id: string; instrument: SaveInstrument }>({
      query: ({ id, instrument }) => ({
        url: `instruments/${id}`,
        method: 'PUT',
        body: instrument,
      }),
      responseSchema: instrumentListSchema,
      invalidatesTags: ['Gauges'],
    }),
    saveCheck: build.mutation<Instrument[], { id: string; check: NewCheck }>({
      query: ({ id, check }) => ({
        url: `instruments/${id}/checks`,
        method: 'POST',
        body: check,
      }),
      responseSchema: instrumentListSchema,
      invalidatesTags: ['Gauges'],
    }),
  }),
});

export const {
  useStudiesInfiniteQuery,
  useStudyQuery,
  useNewStudyMutation,
  useSaveStudyReadingMutation,
  useCloseStudyMutation,
  useUseStudySpreadMutation,
  useInstrumentsQuery,
  useSaveInstrumentMutation,
  useSaveCheckMutation,
} = gaugesApi;
