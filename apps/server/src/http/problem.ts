import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { AppError, notFound } from '../errors.ts';

function send(res: Response, error: AppError): void {
  res.status(error.status).type('application/problem+json').json(error.toProblem());
}

/** Paths of the API that lead nowhere. */
export const unknownPath: RequestHandler = () => {
  throw notFound('path');
};

/** The one place where errors become answers: a 500 says nothing, the log has the cause. */
export function problemHandler(log: Logger): ErrorRequestHandler {
  return (error: unknown, _req, res, next) => {
    if (res.headersSent) {
      next(error);
      return;
    }
    if (error instanceof AppError) {
      send(res, error);
      return;
    }
    const bodyError = bodyProblem(error);
    if (bodyError) {
      send(res, bodyError);
      return;
    }
    log.error({ err: error }, 'unexpected');
    send(res, new AppError(500, 'internal', 'Something went wrong here; nothing was changed'));
  };
}

/** Faults that the body parser finds, by its own type names. */
function bodyProblem(error: unknown): AppError | null {
  if (!(error instanceof Error && 'type' in error)) return null;
  if (error.type === 'entity.parse.failed')
    return new AppError(400, 'not_json', 'The body is not JSON');
  if (error.type === 'entity.too.large')
    return new AppError(413, 'too_large', 'The body is too large');
  return null;
}
