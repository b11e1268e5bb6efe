import { z } from 'zod';
import * as api from '../api.ts';
import { customerRecordSchema } from '../customers.ts';
import type { ApiPath } from './apiPath.ts';

/** Cars, their tires and their customers. */
export const VEHICLES_PATHS: readonly ApiPath[] = [
  {
    method: 'get',
    path: '/api/vehicles',
    summary: 'Cars by plate, label or customer',
    query: z.object({ q: z.string().optional() }),
    reply: api.vehicleListSchema,
  },
  {
    method: 'put',
    path: '/api/vehicles/{id}',
    summary: 'Change what is known of a car and its customer',
    body: api.changeVehicleSchema,
    reply: api.vehicleRecordSchema,
  },
  {
    method: 'get',
    path: '/api/tire-lines',
    summary: 'Depth when new by line of tire, as the shop knows it',
    reply: api.tireLineListSchema,
  },
  {
    method: 'get',
    path: '/api/customers/{carId}',
    summary: 'What is stored of one customer; as a file with export=true',
    query: z.object({ export: z.enum(['true']).optional() }),
    reply: customerRecordSchema,
  },
  {
    method: 'delete',
    path: '/api/customers/{carId}',
    summary: 'Erase a customer; readings stay without a name',
  },
];
