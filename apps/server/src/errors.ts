import type { Problem, Refusal } from '@keen/contract';

/** A failure that the caller may know about, answered as an RFC 9457 problem document. */
export class AppError extends Error {
  override name = 'AppError';
  readonly status: number;
  readonly code: string;
  readonly refusals: Refusal[];

  constructor(status: number, code: string, message: string, refusals: Refusal[] = []) {
    super(message);
    this.status = status;
    this.code = code;
    this.refusals = refusals;
  }

  toProblem(): Problem {
    return {
      type: `urn:keen-groove:problem:${this.code}`,
      title: this.message,
      status: this.status,
      code: this.code,
      ...(this.refusals.length > 0 ? { errors: this.refusals } : {}),
    };
  }
}

export function invalid(refusals: Refusal[], message = 'Some of this cannot be kept'): AppError {
  return new AppError(400, 'invalid', message, refusals);
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
