import type { ProblemReason } from '@keen/contract';
import type { ErrorRequestHandler, Request, RequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { AWAY_CODES, isConnectionFault } from '../db/connectionFault.ts';
import { AppError, conflict, databaseAway, invalid, notFound } from '../errors.ts';
import { databaseError } from './logging.ts';

function send(req: Request, res: Response, error: AppError): void {
  if (error.retryAfter !== undefined) res.set('retry-after', String(error.retryAfter));
  res
    .status(error.status)
    .type('application/problem+json')
    .json(error.toProblem(typeof req.id === 'string' ? req.id : ''));
}

/** Paths of the API that lead nowhere. */
export const unknownPath: RequestHandler = () => {
  throw notFound('noPath');
};

/** The one place where errors become answers: a 500 says nothing, the log has the cause. */
export function problemHandler(log: Logger): ErrorRequestHandler {
  return (error: unknown, req, res, next) => {
    if (res.headersSent) {
      next(error);
      return;
    }
    const known = error instanceof AppError ? error : (requestFault(error) ?? databaseFault(error));
    if (known) {
      // What the database refused should have been refused before it.
      if (known.status === 503 || databaseError(error)) {
        log.warn({ err: error, requestId: req.id }, known.code);
      }
      send(req, res, known);
      return;
    }
    log.error({ err: error, requestId: req.id }, 'unexpected');
    send(req, res, new AppError(500, 'internal', 'internal'));
  };
}

const FAULT_CODES: Record<string, [code: string, reason: ProblemReason]> = {
  'entity.parse.failed': ['not_json', 'notJson'],
  'entity.too.large': ['too_large', 'bodyTooLarge'],
  'encoding.unsupported': ['unknown_encoding', 'unknownEncoding'],
  'charset.unsupported': ['unknown_charset', 'unknownCharset'],
  'request.aborted': ['broke_off', 'brokeOff'],
  'request.size.invalid': ['wrong_size', 'wrongSize'],
};

/** Faults of the request itself that Express and its body parser find: they carry a status from 400 on. */
function requestFault(error: unknown): AppError | null {
  if (!(error instanceof Error)) return null;
  // A path with broken percent-encoding.
  if (error instanceof URIError) return new AppError(400, 'bad_path', 'badPath');
  if (!('status' in error) || typeof error.status !== 'number') return null;
  if (error.status < 400 || error.status > 499) return null;
  const type = 'type' in error && typeof error.type === 'string' ? error.type : '';
  const [code, reason] = FAULT_CODES[type] ?? ['bad_request', 'badRequest'];
  return new AppError(error.status, code, reason);
}

/** Codes of PostgreSQL's Appendix A, by their first letters: what each means for anyone who asked. */
function databaseFault(error: unknown): AppError | null {
  const code = databaseError(error)?.code;
  if (code === undefined) return isConnectionFault(error) ? databaseAway() : null;
  if (AWAY_CODES.test(code)) return databaseAway();
  // Two at once got in each other's way: the same again will do.
  if (code === '40001' || code === '40P01') {
    return new AppError(503, 'busy', 'changingNow', {
      retryAfter: 1,
    });
  }
  if (code === '23505') return conflict('hereAlready');
  if (code === '23503') return conflict('belongsToMissing');
  if (/^(22|23)/.test(code)) return invalid([], 'invalid');
  return null;
}
