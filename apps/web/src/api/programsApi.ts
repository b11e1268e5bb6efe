import type { ApiKey, ApiKeySecrets, Batch, NewApiKey } from '@keen/contract';
import {
  apiKeyListSchema,
  apiKeySecretsSchema,
  batchListSchema,
  batchSchema,
} from '@keen/contract';
import { keenApi } from './keenApi.ts';

/** Keys for other programs, and the batches that those had diagnosed. */
const programsApi = keenApi.injectEndpoints({
  endpoints: (build) => ({
    keys: build.query<ApiKey[], void>({
      query: () => 'keys',
      responseSchema: apiKeyListSchema,
      providesTags: ['Keys'],
    }),
    makeKey: build.mutation<ApiKeySecrets, NewApiKey>({
      query: (body) => ({ url: 'keys', method: 'POST', body }),
      responseSchema: apiKeySecretsSchema,
      invalidatesTags: ['Keys', 'Audit'],
    }),
    changeKeySecret: build.mutation<ApiKeySecrets, string>({
      query: (id) => ({ url: `keys/${id}/secret`, method: 'POST' }),
      responseSchema: apiKeySecretsSchema,
      invalidatesTags: ['Keys', 'Audit'],
    }),
    revokeKey: build.mutation<unknown, string>({
      query: (id) => ({ url: `keys/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Keys', 'Audit'],
    }),
    batches: build.query<Batch[], void>({
      query: () => 'batches',
      responseSchema: batchListSchema,
      providesTags: ['Batches'],
    }),
    cancelBatch: build.mutation<Batch, string>({
      query: (id) => ({ url: `batches/${id}/canceled`, method: 'PUT' }),
      responseSchema: batchSchema,
      invalidatesTags: ['Batches'],
    }),
  }),
});

export const {
  useKeysQuery,
  useMakeKeyMutation,
  useChangeKeySecretMutation,
  useRevokeKeyMutation,
  useBatchesQuery,
  useCancelBatchMutation,
} = programsApi;
