import type { z } from 'zod';

/** A route of the API as it is described outside. */
export interface ApiPath {
  method: 'get' | 'post' | 'put' | 'delete';
  path: string;
  summary: string;
  /** Needs nobody signed in. */
  open?: boolean;
  query?: z.ZodObject;
  body?: z.ZodType;
  /** Of a body that is no JSON. */
  bodyType?: string;
  reply?: z.ZodType;
  /** Of a reply that is no JSON. */
  replyType?: string;
}
