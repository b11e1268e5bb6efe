import type { z } from 'zod';
import type { ApiScope } from '../apiKeys.ts';

/** A route of the API as it is described outside. */
export interface ApiPath {
  method: 'get' | 'post' | 'put' | 'delete';
  path: string;
  summary: string;
  /** Needs nobody signed in. */
  open?: boolean;
  /** For other programs: needs a key with this scope instead of somebody signed in. */
  scope?: ApiScope;
  query?: z.ZodObject;
  body?: z.ZodType;
  /** Of a body that is not JSON. */
  bodyType?: string;
  reply?: z.ZodType;
  /** Of a reply that is not JSON. */
  replyType?: string;
}
