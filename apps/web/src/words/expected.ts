import type { Expectation, ExpectedReason, SentenceValues } from '@keen/contract';
import { isExpectedReason } from '@keen/contract';
import { expected as english } from './en/expected.ts';
import { messagesOf } from './i18n.ts';

const t = messagesOf('expected', english);

/** What was expected of an input, in the language of the page; in English where no reason is known. */
export function expectedWords({ expected, reason, values = {} }: Expectation): string {
  if (reason === undefined || !isExpectedReason(reason)) return expected;
  // Which values a reason has is known to whoever refuses with it.
  return (t as (key: ExpectedReason, values: SentenceValues) => string)(reason, values);
}
