import type { DuePage, NewSheetLink, SharedSheet, SheetLink } from '@keen/contract';
import { duePageSchema, sharedSheetSchema, sheetLinkListSchema } from '@keen/contract';
import { keenApi } from './keenApi.ts';

/** Links to sheets, the sheet behind one, and what is due. */
const handOverApi = keenApi.injectEndpoints({
  endpoints: (build) => ({
    links: build.query<SheetLink[], string>({
      query: (visitId) => `visits/${visitId}/links`,
      responseSchema: sheetLinkListSchema,
      providesTags: (_result, _error, id) => [{ type: 'Links', id }],
    }),
    makeLink: build.mutation<SheetLink[], { visitId: string; link: NewSheetLink }>({
      query: ({ visitId, link }) => ({
        url: `visits/${visitId}/links`,
        method: 'POST',
        body: link,
      }),
      responseSchema: sheetLinkListSchema,
      invalidatesTags: (_result, _error, { visitId }) => [{ type: 'Links', id: visitId }],
    }),
    endLink: build.mutation<unknown, { visitId: string; id: string }>({
      query: ({ id }) => ({ url: `links/${id}`, method: 'DELETE' }),
      invalidatesTags: (_result, _error, { visitId }) => [{ type: 'Links', id: visitId }],
    }),
    sharedSheet: build.query<SharedSheet, string>({
      query: (token) => `shared/${encodeURIComponent(token)}`,
      responseSchema: sharedSheetSchema,
    }),
    /** What the cars are due for up to a day, page by page; null for all of it. */
    due: build.infiniteQuery<DuePage, string | null, string | null>({
      query: ({ queryArg: until, pageParam: after }) => ({
        url: 'due',
        params: { ...(until === null ? {} : { until }), ...(after === null ? {} : { after }) },
      }),
      infiniteQueryOptions: {
        initialPageParam: null,
        getNextPageParam: ({ after }) => after ?? undefined,
      },
      keepUnusedDataFor: 5,
      responseSchema: duePageSchema,
      providesTags: ['Due'],
    }),
  }),
});

export const {
  useLinksQuery,
  useMakeLinkMutation,
  useEndLinkMutation,
  useSharedSheetQuery,
  useDueInfiniteQuery,
} = handOverApi;
