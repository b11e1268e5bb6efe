import type {
  CarDetail,
  CustomerDetail,
  CustomerPage,
  GaragePage,
  NewCarMerge,
  NewCustomerMerge,
  StoredPage,
} from '@keen/contract';
import {
  carDetailSchema,
  customerDetailSchema,
  customerPageSchema,
  garagePageSchema,
  storedPageSchema,
} from '@keen/contract';
import { keenApi } from './keenApi.ts';

/** Which cars are listed: those that fit words, or those of one car's customer. */
export type CarScope = { words: string } | { customerOf: string };

function paramsOf(words: string, after: string | null) {
  return { ...(words === '' ? {} : { words }), ...(after === null ? {} : { after }) };
}

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
    /** Customers page by page, in order of their names; by words where there are any. */
    customers: build.infiniteQuery<CustomerPage, string, string | null>({
      query: ({ queryArg: words, pageParam: after }) => ({
        url: 'customers',
        params: paramsOf(words, after),
      }),
      infiniteQueryOptions: {
        initialPageParam: null,
        getNextPageParam: ({ after }) => after ?? undefined,
      },
      keepUnusedDataFor: 5,
      responseSchema: customerPageSchema,
      providesTags: ['Cars'],
    }),
    /** Tires that the shop stores, the latest first. */
    storedTires: build.infiniteQuery<StoredPage, string, string | null>({
      query: ({ queryArg: words, pageParam: after }) => ({
        url: 'stored-tires',
        params: paramsOf(words, after),
      }),
      infiniteQueryOptions: {
        initialPageParam: null,
        getNextPageParam: ({ after }) => after ?? undefined,
      },
      keepUnusedDataFor: 5,
      responseSchema: storedPageSchema,
      providesTags: ['Cars'],
    }),
    /** The customer of a car. */
    carCustomer: build.query<CustomerDetail, string>({
      query: (carId) => `garage/${carId}/customer`,
      responseSchema: customerDetailSchema,
      providesTags: ['Cars'],
    }),
    mergeCustomers: build.mutation<CustomerDetail, { carId: string; merge: NewCustomerMerge }>({
      query: ({ carId, merge }) => ({
        url: `garage/${carId}/customer/merges`,
        method: 'POST',
        body: merge,
      }),
      responseSchema: customerDetailSchema,
      invalidatesTags: ['Cars', 'Visits', 'Visit', 'Due'],
    }),
    undoCustomerMerge: build.mutation<CustomerDetail, { carId: string; mergeId: string }>({
      query: ({ carId, mergeId }) => ({
        url: `garage/${carId}/customer/merges/${mergeId}`,
        method: 'DELETE',
      }),
      responseSchema: customerDetailSchema,
      invalidatesTags: ['Cars', 'Visits', 'Visit', 'Due'],
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
  useCarCustomerQuery,
  useCustomersInfiniteQuery,
  useLazyCarQuery,
  useMergeCarsMutation,
  useMergeCustomersMutation,
  useStoredTiresInfiniteQuery,
  useUndoCustomerMergeMutation,
  useUndoMergeMutation,
} = garageApi;
