import type { Advice, DeclinedPage, InsightQuery } from '@keen/contract';
import { adviceSchema, declinedPageSchema, reliabilitySchema } from '@keen/contract';
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

export const { useAdviceQuery, useDeclinedInfiniteQuery, useReliabilityQuery } = insightsApi;
