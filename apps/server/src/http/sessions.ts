import connectPgSimple from 'connect-pg-simple';
import type { RequestHandler } from 'express';
import session from 'express-session';
import { LRUCache } from 'lru-cache';
import type { Context } from '../context.ts';
import { databaseAway } from '../errors.ts';

export const COOKIE_NAME = 'keen.sid';
const SESSION_DAYS = 14;
const PRUNE_SECONDS = 900;
const DAY_MS = 86_400_000;
const TOUCH_MS = 3_600_000;
const MOST_TOUCHED = 20_000;

/** Who is signed in, kept in the database; the same for requests and for WebSockets. */
export function sessionMiddleware(
  context: Pick<Context, 'pool' | 'sessionSecret' | 'log'>,
): RequestHandler {
  const Store = seldomTouching(connectPgSimple(session));
  return session({
    name: COOKIE_NAME,
    secret: context.sessionSecret,
    resave: false,
    saveUninitialized: false,
    rolling: true,
    cookie: {
      httpOnly: true,
      sameSite: 'strict',
      secure: 'auto',
      maxAge: SESSION_DAYS * DAY_MS,
    },
    store: new Store({
      pool: context.pool,
      tableName: 'session',
      pruneSessionInterval: PRUNE_SECONDS,
      errorLog: (...what: unknown[]) =>
        context.log.warn({ err: what.find((one) => one instanceof Error) }, 'session store failed'),
    }),
  });
}

/**
 * A session's end moves on with every request; writing that down with each would make every question a
 * write. Once an hour is enough for an end that is days away.
 */
function seldomTouching(Store: ReturnType<typeof connectPgSimple>) {
  const touched = new LRUCache<string, true>({ max: MOST_TOUCHED, ttl: TOUCH_MS });
  return class extends Store {
    override touch(sid: string, data: session.SessionData, done?: () => void): void {
      if (touched.has(sid)) {
        done?.();
        return;
      }
      touched.set(sid, true);
      super.touch(sid, data, done);
    }
  };
}

/** The middleware goes on without a session when its store has lost its database; nothing else may. */
export const sessionStoreAnswers: RequestHandler = (req, _res, next) => {
  if (!(req as Partial<typeof req>).session) throw databaseAway();
  next();
};
