import type {
  Advice,
  Comebacks,
  DeclineCosts,
  DeclinedPage,
  ForecastsHeld,
  InsightQuery,
} from '@keen/contract';
import {
  adviceSchema,
  comebacksSchema,
  declineCostsSchema,
  declinedPageSchema,
  forecastsHeldSchema,
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
  useComebacksQuery,
  useDeclineCostsQuery,
  useDeclinedInfiniteQuery,
  useForecastsQuery,
  useReliabilityQuery,
} = insightsApi;
