import type { CarDetail, GaragePage, NewCarMerge } from '@keen/contract';
import { carDetailSchema, garagePageSchema } from '@keen/contract';
import { keenApi } from './keenApi.ts';

/** Which cars are listed: those that fit words, or those of one car's customer. */
export type CarScope = { words: string } | { customerOf: string };

/** The shop's cars and their lives. */
const garageApi = keenApi.injectEndpoints({
  endpoints: (build) => ({
    /** Cars page by page, the latest seen first. */
    cars: build.infiniteQuery<GaragePage, CarScope, string | null>({
      query: ({ queryArg: scope, pageParam: after }) => ({
        url: 'garage',
        params: {
          ...('customerOf' in scope
            ? { customerOf: scope.customerOf }
            : scope.words === ''
              ? {}
              : { words: scope.words }),
          ...(after === null ? {} : { after }),
        },
      }),
      infiniteQueryOptions: {
        initialPageParam: null,
        getNextPageParam: ({ after }) => after ?? undefined,
      },
      keepUnusedDataFor: 5,
      responseSchema: garagePageSchema,
      providesTags: ['Cars'],
    }),
    car: build.query<CarDetail, string>({
      query: (id) => `garage/${id}`,
      responseSchema: carDetailSchema,
      providesTags: ['Cars'],
    }),
    mergeCars: build.mutation<CarDetail, { id: string; merge: NewCarMerge }>({
      query: ({ id, merge }) => ({ url: `garage/${id}/merges`, method: 'POST', body: merge }),
      responseSchema: carDetailSchema,
      invalidatesTags: ['Cars', 'Visits', 'Visit', 'Due'],
    }),
    undoMerge: build.mutation<CarDetail, { id: string; mergeId: string }>({
      query: ({ id, mergeId }) => ({ url: `garage/${id}/merges/${mergeId}`, method: 'DELETE' }),
      responseSchema: carDetailSchema,
      invalidatesTags: ['Cars', 'Visits', 'Visit', 'Due'],
    }),
  }),
});

export const {
  useCarsInfiniteQuery,
  useCarQuery,
  useLazyCarQuery,
  useMergeCarsMutation,
  useUndoMergeMutation,
} = garageApi;
