import type {
  Advice,
  Comebacks,
  DeclineCosts,
  DeclinedPage,
  ForecastsHeld,
  InsightQuery,
  Learning,
} from '@keen/contract';
import {
  adviceSchema,
  comebacksSchema,
  declineCostsSchema,
  declinedPageSchema,
  forecastsHeldSchema,
  learningSchema,
  reliabilitySchema,
} from '@keen/contract';
import type { Reliability } from '@keen/core';
import { keenApi } from './keenApi.ts';

/** What the shop's own work teaches. */
const insightsApi = keenApi.injectEndpoints({
  endpoints: (build) => ({
    advice: build.query<Advice, InsightQuery>({
      query: (params) => ({ url: 'insights/advice', params }),
      responseSchema: adviceSchema,
      providesTags: ['Insights'],
      keepUnusedDataFor: 5,
    }),
    reliability: build.query<Reliability, InsightQuery>({
      query: (params) => ({ url: 'insights/reliability', params }),
      responseSchema: reliabilitySchema,
      providesTags: ['Insights'],
      keepUnusedDataFor: 5,
    }),
    comebacks: build.query<Comebacks, InsightQuery>({
      query: (params) => ({ url: 'insights/comebacks', params }),
      responseSchema: comebacksSchema,
      providesTags: ['Insights'],
      keepUnusedDataFor: 5,
    }),
    forecasts: build.query<ForecastsHeld, InsightQuery>({
      query: (params) => ({ url: 'insights/forecasts', params }),
      responseSchema: forecastsHeldSchema,
      providesTags: ['Insights'],
      keepUnusedDataFor: 5,
    }),
    declineCosts: build.query<DeclineCosts, InsightQuery>({
      query: (params) => ({ url: 'insights/decline-costs', params }),
      responseSchema: declineCostsSchema,
      providesTags: ['Insights'],
      keepUnusedDataFor: 5,
    }),
    learning: build.query<Learning, void>({
      query: () => 'insights/learning',
      responseSchema: learningSchema,
      providesTags: ['Learning'],
    }),
    startLearning: build.mutation<Learning, string>({
      query: (id) => ({ url: 'insights/learning', method: 'POST', body: { id } }),
      responseSchema: learningSchema,
      invalidatesTags: ['Learning'],
    }),
    changeLearning: build.mutation<Learning, { id: string; state: 'running' | 'canceled' }>({
      query: ({ id, state }) => ({
        url: `insights/learning/${id}`,
        method: 'PUT',
        body: { state },
      }),
      responseSchema: learningSchema,
      invalidatesTags: ['Learning'],
    }),
    /** Null goes back to the usual constants. */
    useLearned: build.mutation<Learning, string | null>({
      query: (runId) => ({ url: 'insights/learning/used', method: 'PUT', body: { runId } }),
      responseSchema: learningSchema,
      invalidatesTags: ['Learning'],
    }),
    /** Latest first, page by page. */
    declined: build.infiniteQuery<DeclinedPage, InsightQuery, string | null>({
      query: ({ queryArg, pageParam: before }) => ({
        url: 'insights/declined',
        params: { ...queryArg, ...(before === null ? {} : { before }) },
      }),
      infiniteQueryOptions: {
        initialPageParam: null,
        getNextPageParam: ({ before }) => before ?? undefined,
      },
      keepUnusedDataFor: 5,
      responseSchema: declinedPageSchema,
      providesTags: ['Insights'],
    }),
  }),
});

export const {
  useAdviceQuery,
  useChangeLearningMutation,
  useComebacksQuery,
  useDeclineCostsQuery,
  useDeclinedInfiniteQuery,
  useForecastsQuery,
  useLearningQuery,
  useReliabilityQuery,
  useStartLearningMutation,
  useUseLearnedMutation,
} = insightsApi;
