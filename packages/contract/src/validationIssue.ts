import type { z } from 'zod';
import { expectedText, isExpectedReason } from './expectedTexts.ts';
import type { ExpectedReason } from './expectedTexts.ts';
import type { SentenceValues } from './fillIn.ts';

/** What was expected of an input: in English, and for any language as a reason with its figures. */
export interface Expectation {
  expected: string;
  /** One of EXPECTED_TEXTS; there is none where an older version refused. */
  reason?: string | undefined;
  values?: SentenceValues | undefined;
}

/** Where bad input is and what was expected there. */
export interface ValidationIssue extends Expectation {
  /** Dotted path of the field, `''` for the whole document. */
  path: string;
}

/** What was expected, by its reason. */
export function expectation(reason: ExpectedReason, values?: SentenceValues): Expectation {
  return { expected: expectedText(reason, values), reason, ...(values && { values }) };
}

/** A refusal of the field at a path. */
export function validationIssue(
  path: string,
  reason: ExpectedReason,
  values?: SentenceValues,
): ValidationIssue {
  return { path, ...expectation(reason, values) };
}

/** What a check of our own adds to what Zod found: messages are reasons, and their figures go along. */
export function issue(
  path: PropertyKey[],
  reason: ExpectedReason,
  values?: SentenceValues,
): { code: 'custom'; path: PropertyKey[]; message: ExpectedReason; params: SentenceValues } {
  return { code: 'custom', path, message: reason, params: values ?? {} };
}

/** Passes a refusal of a part on to the whole. */
export function issueOf(path: PropertyKey[], { expected, reason, values }: Expectation) {
  return { code: 'custom' as const, path, message: reason ?? expected, params: { ...values } };
}

type Issue = z.core.$ZodIssue;

/** Says the first thing wrong with an input, as a path and what was expected there. */
export function validationIssueOf(error: z.core.$ZodError): ValidationIssue {
  const first = deepest(error.issues[0]);
  if (!first) return validationIssue('', 'validInput');
  return { path: pathOf(first), ...expectationOf(first) };
}

/** All that is wrong with an input, one refusal a field. */
export function validationIssuesOf(error: z.core.$ZodError): ValidationIssue[] {
  return error.issues
    .map((one) => deepest(one) ?? one)
    .map((one) => ({ path: pathOf(one), ...expectationOf(one) }));
}

/** Inside a union the branch that got furthest says most about what was meant. */
function deepest(issue: Issue | undefined, prefix: PropertyKey[] = []): Issue | undefined {
  if (!issue) return undefined;
  const here = { ...issue, path: [...prefix, ...issue.path] } as Issue;
  if (issue.code !== 'invalid_union') return here;
  const branches = issue.errors
    .map((branch) => deepest(branch[0], here.path))
    .filter((branch): branch is Issue => branch !== undefined);
  const furthest = branches.toSorted((a, b) => b.path.length - a.path.length)[0];
  return furthest && furthest.path.length > here.path.length ? furthest : here;
}

function pathOf(issue: Issue): string {
  const key = issue.code === 'unrecognized_keys' ? issue.keys.slice(0, 1) : [];
  return [...issue.path, ...key].map(String).join('.');
}

function expectationOf(found: Issue): Expectation {
  switch (found.code) {
    case 'unrecognized_keys':
    case 'invalid_key':
      return expectation('unknownField');
    case 'invalid_type':
      return ofKind(found.expected);
    case 'invalid_value':
      return found.values.length === 1
        ? expectation('exactly', { value: JSON.stringify(found.values[0]) })
        : expectation('oneOf', { list: found.values.map(String).join(', ') });
    case 'too_small':
      return bound(found.origin, found.inclusive ? 'atLeast' : 'moreThan', found.minimum);
    case 'too_big':
      return bound(found.origin, found.inclusive ? 'atMost' : 'lessThan', found.maximum);
    case 'not_multiple_of':
      return expectation('multipleOf', { step: found.divisor });
    case 'invalid_format':
      return ofFormat(found.format, found.message);
    case 'custom':
      return said(found.message, found.params);
    default:
      return expectation('validInput');
  }
}

/** A message of ours is a reason; any other is what it says. */
function said(message: string, params: Record<string, unknown> = {}): Expectation {
  return isExpectedReason(message)
    ? expectation(message, Object.keys(params).length > 0 ? (params as SentenceValues) : undefined)
    : { expected: message };
}

const FORMATS: Partial<Record<string, ExpectedReason>> = {
  email: 'email',
  uuid: 'id',
  datetime: 'moment',
  date: 'day',
  url: 'address',
};

function ofFormat(format: string, message: string): Expectation {
  const reason = FORMATS[format];
  return reason ? expectation(reason) : said(message);
}

const KINDS: Partial<Record<string, ExpectedReason>> = {
  number: 'number',
  int: 'wholeNumber',
  string: 'text',
  boolean: 'yesOrNo',
  array: 'list',
  object: 'object',
};

function ofKind(kind: string): Expectation {
  const reason = KINDS[kind];
  if (reason) return expectation(reason);
  return expectation('kind', { kind: `${/^[aeiou]/.test(kind) ? 'an' : 'a'} ${kind}` });
}

type Bound = 'atLeast' | 'moreThan' | 'atMost' | 'lessThan';

function bound(origin: string, which: Bound, limit: number | bigint): Expectation {
  const count = Number(limit);
  if (which === 'atLeast' || which === 'atMost') {
    if (origin === 'array') {
      return count === 1
        ? expectation(`${which}OneItem`)
        : expectation(`${which}Items`, { limit: count });
    }
    if (origin === 'string') {
      return which === 'atLeast' && count === 1
        ? expectation('someText')
        : expectation(`${which}Characters`, { limit: count });
    }
  }
  return expectation(which, { limit: count });
}
