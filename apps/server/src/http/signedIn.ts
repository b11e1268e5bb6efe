import type { Role } from '@keen/contract';
import type { Request } from 'express';
import { unauthenticated } from '../errors.ts';

declare module 'express-session' {
  interface SessionData {
    accountId: string;
    personId: string;
    shopId: string;
    /** Changed in the stored sessions when a lead changes it, so that it holds from the next request. */
    role: Role;
    /** A lead whose shop asks for a second factor and who has none yet: only the own account is open. */
    mustSetUp: boolean;
    /** What its owner recognises it by. */
    agent: string;
    address: string;
    since: string;
  }
}

/** Who is asking, and for which shop: every query is bound to it. */
export interface Actor {
  /** By which this person signs in, here and in other shops. */
  accountId: string;
  personId: string;
  shopId: string;
  role: Role;
}

/** @throws {AppError} 401 when nobody is signed in */
export function signedIn(req: Request): Actor {
  const { accountId, personId, shopId, role } = req.session;
  if (!accountId || !personId || !shopId || !role) throw unauthenticated();
  return { accountId, personId, shopId, role };
}
