import * as api from '../api.ts';
import { pageErrorSchema, systemStateSchema } from '../system.ts';
import type { ApiPath } from './apiPath.ts';

/** The server itself: is it there, what does it speak, what has changed. */
export const SERVER_PATHS: readonly ApiPath[] = [
  {
    method: 'get',
    path: '/api/health',
    summary: 'Is the server alive',
    open: true,
    reply: api.healthSchema,
  },
  {
    method: 'get',
    path: '/api/ready',
    summary: 'Is the server ready to work: alive, and with its database',
    open: true,
    reply: api.healthSchema,
  },
  {
    method: 'post',
    path: '/api/page-errors',
    summary: 'An error of a page: where it happened, never what somebody typed',
    open: true,
    body: pageErrorSchema,
  },
  {
    method: 'get',
    path: '/api/system',
    summary: 'Whether the installation is well: backups, disk, queue, errors, versions',
    reply: systemStateSchema,
  },
  {
    method: 'get',
    path: '/api/openapi.json',
    summary: 'This document',
    open: true,
    replyType: 'application/json',
  },
  {
    method: 'get',
    path: '/api/schema/{name}.json',
    summary:
      'The JSON Schema of an open format: case, diagnosis, specification, angles, tread-pass',
    open: true,
    replyType: 'application/schema+json',
  },
  {
    method: 'get',
    path: '/api/welcome',
    summary: 'Is there a shop, and is it the made-up one',
    open: true,
    reply: api.welcomeSchema,
  },
  {
    method: 'get',
    path: '/api/live',
    summary: 'Live changes of the shop, as server-sent events',
    query: api.liveQuerySchema,
    replyType: 'text/event-stream',
  },
];
