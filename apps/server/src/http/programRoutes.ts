import { createHash } from 'node:crypto';
import type { ApiScope } from '@keen/contract';
import { sql } from 'drizzle-orm';
import { Router } from 'express';
import type { Request, RequestHandler, Response } from 'express';
import type { Context } from '../context.ts';
import { addAudit } from '../db/audit.ts';
import { inShop, readInShop } from '../db/client.ts';
import type { Database, InShop } from '../db/client.ts';
import { AppError, forbidden } from '../errors.ts';
import type { MountedRoute } from './routes.ts';

/** How often one key may ask. */
export const KEY_LIMIT_A_MINUTE = 120;
const MINUTE_SECONDS = 60;

/** A program that asks for a shop by one of its keys. */
export interface Program {
  keyId: string;
  shopId: string;
  /** Of the key. */
  name: string;
  scopes: readonly ApiScope[];
}

/** What a handler of a program gets. */
export interface ProgramAsked {
  req: Request;
  res: Response;
  program: Program;
  /** A transaction that sees this program's shop only. */
  inShop: InShop;
  readInShop: InShop;
}

/** Routes for other programs: no session, no cookie, a key with the scope that the route takes. */
export interface ProgramRoutes {
  router: Router;
  mounted: MountedRoute[];
  on(
    method: MountedRoute['method'],
    path: string,
    scope: ApiScope,
    handler: (asked: ProgramAsked) => Promise<void>,
  ): void;
}

/** What is kept of a secret. */
export function hashOf(secret: string): string {
  return createHash('sha256').update(secret).digest('hex');
}

export function createProgramRoutes({ db }: Pick<Context, 'db'>): ProgramRoutes {
  const router = Router();
  const mounted: MountedRoute[] = [];
  const programs = new WeakMap<Request, Program>();

  const demand =
    (scope: ApiScope): RequestHandler =>
    async (req, res, next) => {
      const program = await programOf(db, req, res);
      if (!program.scopes.includes(scope)) {
        await inShop(db, program.shopId, (tx) =>
          addAudit(
            tx,
            { shopId: program.shopId, personId: null },
            'refused',
            { right: scope, method: req.method, key: program.name },
            req.ip,
          ),
        );
        throw forbidden('keyForbids', { scope });
      }
      programs.set(req, program);
      next();
    };

  return {
    router,
    mounted,
    on(method, path, scope, handler) {
      mounted.push({ method, path, right: null, scope });
      router[method](path, demand(scope), async (req, res) => {
        const program = programs.get(req)!;
        await handler({
          req,
          res,
          program,
          inShop: (work) => inShop(db, program.shopId, work),
          readInShop: (work) => readInShop(db, program.shopId, work),
        });
      });
    },
  };
}

/** @throws {AppError} 401 without a good key, 429 when it asks too often */
async function programOf(db: Database, req: Request, res: Response): Promise<Program> {
  const secret = /^Bearer +(\S{1,200})$/i.exec(req.get('authorization') ?? '')?.[1];
  const { rows } = secret
    ? await db.execute<{
        id: string;
        shop_id: string;
        name: string;
        scopes: ApiScope[];
        asked: number;
      }>(sql`select * from keen_api_key(${hashOf(secret)})`)
    : { rows: [] };
  const [key] = rows;
  if (!key) {
    res.set('www-authenticate', 'Bearer');
    throw new AppError(401, 'bad_key', 'badKey');
  }
  if (key.asked > KEY_LIMIT_A_MINUTE) {
    throw new AppError(429, 'too_many_requests', 'keyLimit', {
      values: { most: KEY_LIMIT_A_MINUTE },
      retryAfter: MINUTE_SECONDS - new Date().getSeconds(),
    });
  }
  return { keyId: key.id, shopId: key.shop_id, name: key.name, scopes: key.scopes };
}
