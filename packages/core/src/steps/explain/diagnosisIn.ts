import type { CaseFile, Diagnosis, Recommendation } from '@keen/contract';
import { resolveCase } from '../../engine/case/resolveCase.ts';
import type { Texts } from '../../words/texts.ts';
import { advicePart, adviceReason } from './adviceReasons.ts';
import { createReasons } from './reasons.ts';

/**
 * A diagnosis with its sentences in another language; codes and figures stay as they are.
 * @param file - the case that it answers
 */
export function diagnosisIn(diagnosis: Diagnosis, file: CaseFile, texts: Texts): Diagnosis {
  const reasonsFor = createReasons(resolveCase(file), file.units.depth, texts);
  return {
    ...diagnosis,
    ranked: diagnosis.ranked.map((cause) => ({ ...cause, ...reasonsFor(cause) })),
    recommendation: recommendationIn(diagnosis.recommendation, texts),
  };
}

/** The same of an advice; one that was saved before reasons had codes stays in English. */
export function recommendationIn(recommendation: Recommendation, texts: Texts): Recommendation {
  const { codes, parts, reasons } = recommendation;
  return {
    ...recommendation,
    reasons: codes?.map((code) => adviceReason(code, texts)) ?? reasons,
    parts: parts.map((part) => partIn(part, texts)),
  };
}

type Part = Recommendation['parts'][number];

/** The same of a part to look at. */
export function partIn(part: Part, texts: Texts): Part {
  const { cause, probability } = part;
  return cause === undefined || probability === undefined
    ? part
    : { ...part, ...advicePart(cause, probability, texts) };
}
