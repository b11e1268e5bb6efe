import type { Problem, Refusal } from '@keen/contract';

/** A failure that the caller may know about, answered as an RFC 9457 problem document. */
export class AppError extends Error {
  override name = 'AppError';
  readonly status: number;
  readonly code: string;
  readonly refusals: Refusal[];
  /** Seconds after which it is worth asking again, where that is known. */
  readonly retryAfter: number | undefined;

  constructor(
    status: number,
    code: string,
    message: string,
    { refusals = [], retryAfter }: { refusals?: Refusal[]; retryAfter?: number } = {},
  ) {
    super(message);
    this.status = status;
    this.code = code;
    this.refusals = refusals;
    this.retryAfter = retryAfter;
  }

  toProblem(requestId: string): Problem {
    return {
      type: `urn:keen-groove:problem:${this.code}`,
      title: this.message,
      status: this.status,
      code: this.code,
      requestId,
      ...(this.refusals.length > 0 ? { errors: this.refusals } : {}),
    };
  }
}

export function invalid(refusals: Refusal[], message = 'Some of this cannot be saved'): AppError {
  return new AppError(400, 'invalid', message, { refusals });
}
export function unauthenticated(): AppError {
  return new AppError(401, 'unauthenticated', 'Sign in first');
}
export function forbidden(message: string): AppError {
  return new AppError(403, 'forbidden', message);
}
export function notFound(what: string): AppError {
  return new AppError(404, 'not_found', `No such ${what}`);
}
export function conflict(message: string): AppError {
  return new AppError(409, 'conflict', message);
}
export function databaseAway(): AppError {
  return new AppError(503, 'no_database', 'The database does not answer; nothing typed is lost', {
    retryAfter: 2,
  });
}
