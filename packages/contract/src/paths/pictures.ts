import { z } from 'zod';
import * as api from '../api.ts';
import type { ApiPath } from './apiPath.ts';

/** Pictures of a visit. */
export const PICTURES_PATHS: readonly ApiPath[] = [
  {
    method: 'get',
    path: '/api/visits/{id}/photos',
    summary: 'Pictures of a visit',
    reply: api.photoListSchema,
  },
  {
    method: 'put',
    path: '/api/visits/{id}/photos/{photoId}',
    summary: 'Add a picture to a visit',
    query: z.object({ subject: z.string().optional() }),
    bodyType: 'image/jpeg',
    reply: api.photoListSchema,
  },
  {
    method: 'get',
    path: '/api/photos/{id}',
    summary: 'One picture',
    replyType: 'image/jpeg',
  },
  {
    method: 'delete',
    path: '/api/photos/{id}',
    summary: 'Delete a picture',
  },
];
