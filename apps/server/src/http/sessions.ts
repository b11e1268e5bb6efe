import connectPgSimple from 'connect-pg-simple';
import type { RequestHandler } from 'express';
import session from 'express-session';
import type { Context } from '../context.ts';
import { databaseAway } from '../errors.ts';

export const COOKIE_NAME = 'keen.sid';
const SESSION_DAYS = 14;
const PRUNE_SECONDS = 900;
const DAY_MS = 86_400_000;

/** Who is signed in, kept in the database; the same for requests and for WebSockets. */
export function sessionMiddleware(
  context: Pick<Context, 'pool' | 'sessionSecret' | 'log'>,
): RequestHandler {
  const Store = connectPgSimple(session);
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

/** The middleware goes on without a session when its store has lost its database; nothing else may. */
export const sessionStoreAnswers: RequestHandler = (req, _res, next) => {
  if (!(req as Partial<typeof req>).session) throw databaseAway();
  next();
};
