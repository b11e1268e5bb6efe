import { parseCaseFile, priceListSchema, validationIssue, validationIssueOf } from '@keen/contract';
import type { PriceList } from '@keen/contract';
import { adviseAtPrices, diagnose } from '@keen/core';
import { parseJson, refused, refusing } from './outcome.ts';
import type { Outcome, Refused } from './outcome.ts';

/**
 * The full answer to one case file given as text.
 * @param prices - to weigh the advice at, before those that the case may bring
 */
export function diagnoseCase(text: string, prices?: PriceList): Outcome {
  const json = parseJson(text);
  if (!json.ok) return json.outcome;
  const parsed = parseCaseFile(json.value);
  if (!parsed.ok) return refused(parsed.error);
  const file = parsed.value;
  return refusing(() => {
    const answer = diagnose(file);
    const given = prices ?? file.prices;
    return given ? adviseAtPrices(answer, given) : answer.diagnosis;
  });
}

/** A price list given as text. */
export function readPrices(text: string): { prices: PriceList } | Refused {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return refused(validationIssue('', 'priceList'));
  }
  const parsed = priceListSchema.safeParse(value);
  return parsed.success ? { prices: parsed.data } : refused(validationIssueOf(parsed.error));
}
