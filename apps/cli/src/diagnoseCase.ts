import { parseCaseFile, priceListSchema, validationIssue, validationIssueOf } from '@keen/contract';
import type { Language, PriceList } from '@keen/contract';
import { adviseAtPrices, diagnose, diagnosisIn, textsOf } from '@keen/core';
import { parseJson, refused, refusing } from './outcome.ts';
import type { Outcome, Refused } from './outcome.ts';

export interface DiagnoseOptions {
  /** To weigh the advice at, before those that the case may bring. */
  prices?: PriceList;
  /** Of the sentences; English when left out. */
  language?: Language;
}

/** The full answer to one case file given as text. */
export function diagnoseCase(text: string, { prices, language }: DiagnoseOptions = {}): Outcome {
  const json = parseJson(text);
  if (!json.ok) return json.outcome;
  const parsed = parseCaseFile(json.value);
  if (!parsed.ok) return refused(parsed.error);
  const file = parsed.value;
  return refusing(() => {
    const answer = diagnose(file);
    const given = prices ?? file.prices;
    const diagnosis = given ? adviseAtPrices(answer, given) : answer.diagnosis;
    return language ? diagnosisIn(diagnosis, file, textsOf(language).texts) : diagnosis;
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
