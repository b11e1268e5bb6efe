import { randomUUID } from 'node:crypto';
import type { IncomingMessage, ServerResponse } from 'node:http';
import pg from 'pg';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';

const LONGEST_MESSAGE = 300;
const MOST_FRAMES = 12;

/** An error as it may be logged. */
export interface SafeError {
  type: string;
  code?: string;
  message?: string;
  constraint?: string;
  table?: string;
  frames: string[];
}

/**
 * What of an error goes into the log: where it happened and what kind it is, never what somebody typed.
 * Messages of the database and of its query builder repeat values and whole statements, so of those only
 * the code and the names of table and constraint are taken.
 */
export function safeError(error: unknown): SafeError {
  if (!(error instanceof Error)) return { type: typeof error, frames: [] };
  const cause = databaseError(error);
  const frames = (error.stack ?? '')
    .split('\n')
    .filter((line) => /^\s+at /.test(line))
    .slice(0, MOST_FRAMES)
    .map((line) => line.trim());
  if (cause) {
    return {
      type: 'DatabaseError',
      frames,
      ...(cause.code === undefined ? {} : { code: cause.code }),
      ...(cause.constraint === undefined ? {} : { constraint: cause.constraint }),
      ...(cause.table === undefined ? {} : { table: cause.table }),
    };
  }
  const isQuery = 'query' in error;
  return {
    type: error.name,
    ...('code' in error && typeof error.code === 'string' ? { code: error.code } : {}),
    ...(isQuery ? {} : { message: error.message.slice(0, LONGEST_MESSAGE) }),
    frames,
  };
}

/** The database's own error behind one of the query builder's, if there is one. */
export function databaseError(error: unknown): pg.DatabaseError | null {
  for (let at = error; at instanceof Error; at = at.cause) {
    if (at instanceof pg.DatabaseError) return at;
  }
  return null;
}

/** Lets a logger write errors as {@link safeError} has them. */
export const safeSerializers = { err: safeError, error: safeError };

/**
 * A line a request: method, path without its query, status, time and the id that the answer carries too.
 * No headers, bodies or parameters.
 */
export function requestLog(log: Logger) {
  return pinoHttp<IncomingMessage, ServerResponse>({
    logger: log,
    genReqId: (_req, res) => {
      const id = randomUUID();
      res.setHeader('x-request-id', id);
      return id;
    },
    quietReqLogger: true,
    customAttributeKeys: { reqId: 'requestId' },
    serializers: {
      req: ({ method, url }: { method: string; url: string }) => ({
        method,
        // A link's token opens the sheet: it does not belong in the log.
        path: url
          .split('?')[0]!
          .replace(/^(\/api\/shared\/).*/, '$1…')
          .slice(0, 200),
      }),
      res: ({ statusCode }: { statusCode: number }) => ({ status: statusCode }),
      err: safeError,
    },
    autoLogging: { ignore: ({ url }) => url === '/api/health' || url === '/api/ready' },
  });
}
