import type { z } from 'zod';

/** Where bad input is and what was expected there. */
export interface Refusal {
  /** Dotted path of the field, `''` for the whole document. */
  path: string;
  expected: string;
}

type Issue = z.core.$ZodIssue;

/** Says the first thing wrong with an input, as a path and what was expected there. */
export function refusalOf(error: z.core.$ZodError): Refusal {
  const issue = deepest(error.issues[0]);
  if (!issue) return { path: '', expected: 'valid input' };
  return { path: pathOf(issue), expected: expectedOf(issue) };
}

/** All that is wrong with an input, one refusal a field. */
export function refusalsOf(error: z.core.$ZodError): Refusal[] {
  return error.issues
    .map((issue) => deepest(issue) ?? issue)
    .map((issue) => ({ path: pathOf(issue), expected: expectedOf(issue) }));
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

function expectedOf(issue: Issue): string {
  switch (issue.code) {
    case 'unrecognized_keys':
      return 'a known field; this one is unknown';
    case 'invalid_type':
      return article(issue.expected);
    case 'invalid_value':
      return issue.values.length === 1
        ? JSON.stringify(issue.values[0])
        : `one of ${issue.values.map(String).join(', ')}`;
    case 'too_small':
      return bound(issue.origin, issue.inclusive ? 'at least' : 'more than', issue.minimum);
    case 'too_big':
      return bound(issue.origin, issue.inclusive ? 'at most' : 'less than', issue.maximum);
    case 'invalid_key':
      return 'a known field; this one is unknown';
    default:
      return issue.message;
  }
}

function bound(origin: string, words: string, limit: number | bigint): string {
  if (origin === 'array') return `${words} ${limit} items`;
  if (origin === 'string') return `${words} ${limit} characters`;
  return `${words} ${limit}`;
}

function article(kind: string): string {
  if (kind === 'number') return 'a finite number';
  if (kind === 'int') return 'a whole number';
  return `${/^[aeiou]/.test(kind) ? 'an' : 'a'} ${kind}`;
}
