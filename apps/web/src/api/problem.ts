import type { Problem, ProblemReason, ValidationIssue } from '@keen/contract';
import { PROBLEM_TEXTS, problemSchema } from '@keen/contract';
import { t } from '../words/api.ts';
import { problemWords } from '../words/problems.ts';

/** What went wrong with a request, in words for the person who asked. */
export interface Failure {
  text: string;
  /** Field faults, when the server named them. */
  refusals: ValidationIssue[];
  /** Whether trying again later may help: the server was not reached or is busy. */
  isPassing: boolean;
  status: number | null;
}

/** Reads a failed request of RTK Query. */
export function failureOf(error: unknown): Failure {
  const problem = problemOf(error);
  const status = statusOf(error);
  if (problem) {
    return {
      text: problemTitle(problem),
      refusals: problem.errors ?? [],
      isPassing: problem.status >= 500 || problem.status === 429,
      status: problem.status,
    };
  }
  if (status === 'FETCH_ERROR' || status === 'TIMEOUT_ERROR') {
    return {
      text: t('problem.theServerIsNot'),
      refusals: [],
      isPassing: true,
      status: null,
    };
  }
  const text = hasError(error) ? error.error : t('problem.somethingWentWrongNothing');
  const number = typeof status === 'number' ? status : null;
  return { text, refusals: [], isPassing: number === null || number >= 500, status: number };
}

/** What the server could not do, in the language of the page. */
function problemTitle({ title, reason, values = {} }: Problem): string {
  return reason !== undefined && reason in PROBLEM_TEXTS
    ? problemWords(reason as ProblemReason, values)
    : title;
}

/** The problem's code, by which screens tell kinds apart; null where the server sent none. */
export function codeOf(error: unknown): string | null {
  return problemOf(error)?.code ?? null;
}

function problemOf(error: unknown): Problem | null {
  if (typeof error !== 'object' || error === null || !('data' in error)) return null;
  const parsed = problemSchema.safeParse(error.data);
  return parsed.success ? parsed.data : null;
}

function statusOf(error: unknown): unknown {
  return typeof error === 'object' && error !== null && 'status' in error ? error.status : null;
}

function hasError(error: unknown): error is { error: string } {
  return (
    typeof error === 'object' &&
    error !== null &&
    'error' in error &&
    typeof error.error === 'string'
  );
}
