import type { Refusal } from '@keen/contract';
import { InputError } from '@keen/core';

/** What became of one input: its result, or where it was wrong. */
export type Outcome = { result: object } | { error: Refusal };

/** Parses JSON; a broken text is refused as a whole. */
export function parseJson(
  text: string,
): { ok: true; value: unknown } | { ok: false; outcome: Outcome } {
  try {
    return { ok: true, value: JSON.parse(text) as unknown };
  } catch {
    return { ok: false, outcome: { error: { path: '', expected: 'JSON' } } };
  }
}

/** Runs a computation; a caller's mistake found by it is a refusal, anything else is a fault. */
export function refusing(compute: () => object): Outcome {
  try {
    return { result: compute() };
  } catch (error) {
    if (error instanceof InputError)
      return { error: { path: error.path, expected: error.expected } };
    throw error;
  }
}
