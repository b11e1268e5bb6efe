import type { ProblemReason, ProblemValues } from '@keen/contract';
import { problems } from './en/problems.ts';
import { messagesOf } from './i18n.ts';

const t = messagesOf('problems', problems);

/** What the server could not do, in the language of the page. */
export function problemWords(reason: ProblemReason, values: ProblemValues): string {
  // Which values a reason has is known to whoever answers with it.
  return (t as (key: ProblemReason, values: ProblemValues) => string)(reason, values);
}
