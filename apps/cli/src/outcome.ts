import type { ValidationIssue } from '@keen/contract';
import { validationIssue } from '@keen/contract';
import { InputError } from '@keen/core';

/** What became of one input: its result, or where it was wrong. */
export type Outcome = { result: object } | Refused;

/** Where an input was wrong, as the format of the command has it. */
export type Refused = { error: Pick<ValidationIssue, 'path' | 'expected'> };

export function refused({ path, expected }: ValidationIssue): Refused {
  return { error: { path, expected } };
}

/** Parses JSON; a broken text is refused as a whole. */
export function parseJson(
  text: string,
): { ok: true; value: unknown } | { ok: false; outcome: Outcome } {
  try {
    return { ok: true, value: JSON.parse(text) as unknown };
  } catch {
    return { ok: false, outcome: refused(validationIssue('', 'json')) };
  }
}

/** Runs a computation; a caller's mistake found by it is a refusal, anything else is a fault. */
export function refusing(compute: () => object): Outcome {
  try {
    return { result: compute() };
  } catch (error) {
    if (error instanceof InputError)
      return refused(validationIssue(error.path, error.reason, error.values));
    throw error;
  }
}
