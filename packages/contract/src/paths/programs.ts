import { apiKeyListSchema, apiKeySecretsSchema, newApiKeySchema } from '../apiKeys.ts';
import { visitDetailSchema, visitPageSchema, visitsQuerySchema } from '../api.ts';
import {
  batchListSchema,
  batchResultsQuerySchema,
  batchResultsSchema,
  batchSchema,
  newBatchQuerySchema,
} from '../batches.ts';
import type { ApiPath } from './apiPath.ts';

/** Keys for other programs, and what those programs may ask. */
export const PROGRAMS_PATHS: readonly ApiPath[] = [
  {
    method: 'get',
    path: '/api/keys',
    summary: 'Keys that other programs of the shop have',
    reply: apiKeyListSchema,
  },
  {
    method: 'post',
    path: '/api/keys',
    summary: 'A new key; its secrets are told this once',
    body: newApiKeySchema,
    reply: apiKeySecretsSchema,
  },
  {
    method: 'post',
    path: '/api/keys/{id}/secret',
    summary: 'A new secret for a key; the one before is taken for another day',
    reply: apiKeySecretsSchema,
  },
  { method: 'delete', path: '/api/keys/{id}', summary: 'A key is taken no more, from now on' },
  {
    method: 'get',
    path: '/api/batches',
    summary: 'The latest batches of the shop',
    reply: batchListSchema,
  },
  {
    method: 'put',
    path: '/api/batches/{id}/canceled',
    summary: 'Stops a batch; answers that are there stay',
    reply: batchSchema,
  },
  {
    method: 'post',
    path: '/api/v1/batches',
    summary: 'Cases to diagnose, one a line; asked twice with the same id begins once',
    scope: 'diagnose',
    query: newBatchQuerySchema,
    bodyType: 'application/x-ndjson',
    reply: batchSchema,
  },
  {
    method: 'get',
    path: '/api/v1/batches/{id}',
    summary: 'How far a batch is',
    scope: 'diagnose',
    reply: batchSchema,
  },
  {
    method: 'get',
    path: '/api/v1/batches/{id}/results',
    summary: 'Answers of a batch, page by page; those that are there so far while it runs',
    scope: 'diagnose',
    query: batchResultsQuerySchema,
    reply: batchResultsSchema,
  },
  {
    method: 'delete',
    path: '/api/v1/batches/{id}',
    summary: 'Stops a batch and forgets its answers',
    scope: 'diagnose',
  },
  {
    method: 'get',
    path: '/api/v1/visits',
    summary: 'Open visits, or all by words and page by page, latest first',
    scope: 'readVisits',
    query: visitsQuerySchema,
    reply: visitPageSchema,
  },
  {
    method: 'get',
    path: '/api/v1/visits/{id}',
    summary: 'A visit with its entries, decisions and history',
    scope: 'readVisits',
    reply: visitDetailSchema,
  },
];
