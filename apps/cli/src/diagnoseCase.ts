import { parseCaseFile } from '@keen/contract';
import { diagnose } from '@keen/core';
import { parseJson, refusing } from './outcome.ts';
import type { Outcome } from './outcome.ts';

/** The full answer to one case file given as text. */
export function diagnoseCase(text: string): Outcome {
  const json = parseJson(text);
  if (!json.ok) return json.outcome;
  const parsed = parseCaseFile(json.value);
  if (!parsed.ok) return { error: parsed.error };
  return refusing(() => diagnose(parsed.value).diagnosis);
}
