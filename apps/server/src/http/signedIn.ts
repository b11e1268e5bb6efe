import type { Request } from 'express';
import { unauthenticated } from '../errors.ts';

declare module 'express-session' {
  interface SessionData {
    personId: string;
    shopId: string;
  }
}

/** Who is asking, and for which shop: every query is bound to it. */
export interface Actor {
  personId: string;
  shopId: string;
}

/** @throws {AppError} 401 when nobody is signed in */
export function signedIn(req: Request): Actor {
  const { personId, shopId } = req.session;
  if (!personId || !shopId) throw unauthenticated();
  return { personId, shopId };
}
