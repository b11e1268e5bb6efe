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
  {
    method: 'get',
    path: '/api/customers',
    summary: 'Customers by words, page by page, in order of their names',
    query: garage.listQuerySchema,
    reply: garage.customerPageSchema,
  },
  {
    method: 'get',
    path: '/api/garage/{id}/customer',
    summary: 'The customer of a car, who may be the same, and what was joined',
    reply: garage.customerDetailSchema,
  },
  {
    method: 'post',
    path: '/api/garage/{id}/customer/merges',
    summary: 'Join the customer of another car to this car’s',
    body: garage.newCustomerMergeSchema,
    reply: garage.customerDetailSchema,
  },
  {
    method: 'delete',
    path: '/api/garage/{id}/customer/merges/{mergeId}',
    summary: 'Take a joined customer apart again',
    reply: garage.customerDetailSchema,
  },
  {
    method: 'get',
    path: '/api/stored-tires',
    summary: 'Tires that the shop stores, page by page, the latest first',
    query: garage.listQuerySchema,
    reply: garage.storedPageSchema,
  },
];
