import { expectedText } from '@keen/contract/words';
import type { ExpectedReason, SentenceValues } from '@keen/contract';

/**
 * A caller's mistake: which field of the input is wrong, and what was expected there, as a reason with its figures
 * and in English.
 */
export class InputError extends Error {
  override name = 'InputError';
  readonly path: string;
  readonly expected: string;
  readonly reason: ExpectedReason;
  readonly values: SentenceValues;

  constructor(path: string, reason: ExpectedReason, values: SentenceValues = {}) {
    const expected = expectedText(reason, values);
    super(path ? `${path}: expected ${expected}` : `expected ${expected}`);
    this.path = path;
    this.expected = expected;
    this.reason = reason;
    this.values = values;
  }

  /** The same mistake, seen from where the input is a part of something larger. */
  at(path: string): InputError {
    return new InputError(path, this.reason, this.values);
  }
}
