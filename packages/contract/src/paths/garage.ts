import * as garage from '../garage.ts';
import type { ApiPath } from './apiPath.ts';

/** The shop's cars and their lives. */
export const GARAGE_PATHS: readonly ApiPath[] = [
  {
    method: 'get',
    path: '/api/garage',
    summary: 'Cars by words or customer, page by page, the latest seen first',
    query: garage.garageQuerySchema,
    reply: garage.garagePageSchema,
  },
  {
    method: 'get',
    path: '/api/garage/{id}',
    summary: 'A car with all its visits',
    reply: garage.carDetailSchema,
  },
  {
    method: 'post',
    path: '/api/garage/{id}/merges',
    summary: 'Join another entry of the same car to this one',
    body: garage.newCarMergeSchema,
    reply: garage.carDetailSchema,
  },
  {
    method: 'delete',
    path: '/api/garage/{id}/merges/{mergeId}',
    summary: 'Take a joined entry apart again',
    reply: garage.carDetailSchema,
  },
];
