import type { ApiScope, Right } from '@keen/contract';
import { roleMay } from '@keen/contract';
import express, { Router } from 'express';
import type { Request, RequestHandler, Response } from 'express';
import type { Context } from '../context.ts';
import { addAudit } from '../db/audit.ts';
import { inShop, readInShop } from '../db/client.ts';
import type { InShop } from '../db/client.ts';
import { AppError, forbidden } from '../errors.ts';
import { signedIn } from './signedIn.ts';
import type { Actor } from './signedIn.ts';

/** What a handler of a signed-in person gets. */
export interface Asked {
  req: Request;
  res: Response;
  actor: Actor;
  /** A transaction that sees this person's shop only. */
  inShop: InShop;
  /** The same for what only reads: a little faster, and it cannot write. */
  readInShop: InShop;
  /** For what may be a moment old, such as lists and figures: on a standby where there is one. */
  readStandby: InShop;
}

type Method = 'get' | 'post' | 'put' | 'delete';
/** A route as it is mounted: what the tables of rights and of the API are checked against. */
export interface MountedRoute {
  method: Method;
  path: string;
  /** Null for what needs nobody signed in. */
  right: Right | null;
  /** Of the key that another program needs instead. */
  scope?: ApiScope;
}

/**
 * Every route of the API is mounted here, under the one right that it takes. Anyone without it is refused
 * before a body is read, and the try goes into the shop's log.
 */
export interface Routes {
  router: Router;
  mounted: MountedRoute[];
  /**
   * Mounts a route for anyone who has the right.
   * @param parser - reads the body once the right is known; JSON by default where one is sent
   */
  on(
    method: Method,
    path: string,
    right: Right,
    handler: (asked: Asked) => Promise<void> | void,
    parser?: RequestHandler,
  ): void;
  /** Mounts a route that anybody may ask. */
  open(method: Method, path: string, ...handlers: RequestHandler[]): void;
}

const BODIES = new Set<Method>(['post', 'put']);
const BODY_LIMIT = '512kb';
/** Reads a JSON body of ordinary size. */
export const jsonBody: RequestHandler = express.json({ limit: BODY_LIMIT });

export function createRoutes({ db, standby }: Pick<Context, 'db' | 'standby'>): Routes {
  const router = Router();
  const mounted: MountedRoute[] = [];

  const demand =
    (right: Right): RequestHandler =>
    async (req, _res, next) => {
      const actor = signedIn(req);
      if (req.session.mustSetUp && right !== 'ownAccount') {
        throw new AppError(403, 'second_factor_needed', 'secondFactorNeeded');
      }
      if (!roleMay(actor.role, right)) {
        await inShop(db, actor.shopId, (tx) =>
          addAudit(tx, actor, 'refused', { right, method: req.method }, req.ip),
        );
        throw forbidden('roleForbids', { right });
      }
      next();
    };

  return {
    router,
    mounted,
    on(method, path, right, handler, parser = BODIES.has(method) ? jsonBody : undefined) {
      mounted.push({ method, path, right });
      router[method](path, demand(right), ...(parser ? [parser] : []), async (req, res) => {
        const actor = signedIn(req);
        await handler({
          req,
          res,
          actor,
          inShop: (work) => inShop(db, actor.shopId, work),
          readInShop: (work) => readInShop(db, actor.shopId, work),
          readStandby: (work) => standby.read(actor.shopId, work),
        });
      });
    },
    open(method, path, ...handlers) {
      mounted.push({ method, path, right: null });
      router[method](path, ...handlers);
    },
  };
}
