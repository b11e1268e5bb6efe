import type { Problem, ProblemReason, ProblemValues, ValidationIssue } from '@keen/contract';
import { problemText } from '@keen/contract';

interface AppErrorFacts {
  refusals?: ValidationIssue[];
  retryAfter?: number;
  /** What stands in the sentence of the reason. */
  values?: ProblemValues;
}

/** A failure that the caller may know about, answered as an RFC 9457 problem document. */
export class AppError extends Error {
  override name = 'AppError';
  readonly status: number;
  readonly code: string;
  readonly reason: ProblemReason;
  readonly values: ProblemValues;
  readonly refusals: ValidationIssue[];
  /** Seconds after which it is worth asking again, where that is known. */
  readonly retryAfter: number | undefined;

  constructor(
    status: number,
    code: string,
    reason: ProblemReason,
    { refusals = [], retryAfter, values = {} }: AppErrorFacts = {},
  ) {
    super(problemText(reason, values));
    this.status = status;
    this.code = code;
    this.reason = reason;
    this.values = values;
    this.refusals = refusals;
    this.retryAfter = retryAfter;
  }

  toProblem(requestId: string): Problem {
    return {
      type: `urn:keen-groove:problem:${this.code}`,
      title: this.message,
      status: this.status,
      code: this.code,
      reason: this.reason,
      ...(Object.keys(this.values).length > 0 ? { values: this.values } : {}),
      requestId,
      ...(this.refusals.length > 0 ? { errors: this.refusals } : {}),
    };
  }
}

export function invalid(refusals: ValidationIssue[], reason: ProblemReason = 'invalid'): AppError {
  return new AppError(400, 'invalid', reason, { refusals });
}
export function unauthenticated(): AppError {
  return new AppError(401, 'unauthenticated', 'unauthenticated');
}
export function forbidden(reason: ProblemReason, values: ProblemValues = {}): AppError {
  return new AppError(403, 'forbidden', reason, { values });
}
export function notFound(reason: ProblemReason): AppError {
  return new AppError(404, 'not_found', reason);
}
export function conflict(reason: ProblemReason, values: ProblemValues = {}): AppError {
  return new AppError(409, 'conflict', reason, { values });
}
export function databaseAway(): AppError {
  return new AppError(503, 'no_database', 'databaseAway', { retryAfter: 2 });
}
