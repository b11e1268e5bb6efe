import type { CaseFile, Diagnosis, RankedCause, Recommendation } from '@keen/contract';
import type { Action, Axle, Cause, Wheel } from '@keen/contract/words';
import {
  actionWords as actionIn,
  courseWords as courseIn,
  createReasons,
  partIn,
  recommendationIn,
  resolveCase,
  sureIn,
  textsOf,
  verdictOf as verdictIn,
} from '@keen/core';
import type { CostComparison, Texts, Verdict } from '@keen/core';
import { pageLanguage, pageLocale } from './pageLanguage.ts';

const core = textsOf(pageLanguage);

/**
 * What the core says, in the language of the page and with figures as the page writes them; papers for customers ask
 * for the customer's.
 */
export const texts: Texts = { ...core.texts, locale: pageLocale };
export const { papers } = core;

/** A wheel or axle in words. */
export function whereWords(where: Wheel | Axle): string {
  return texts.places[where];
}

/** A cause in the trade's words. */
export function causeWords(cause: Cause): string {
  return texts.causes[cause];
}

/** How sure, in words that keep to the same bands everywhere. */
export function sureWords(probability: number): string {
  return sureIn(texts, probability);
}

/** What is advised; where new tires go on it is said beside them. */
export function actionWords(action: Action, fitsTires: boolean): string {
  return actionIn(action, fitsTires, texts);
}

/** A course as it was weighed for the car of the page. */
export function courseWords(
  course: Action,
  fitsTires: boolean,
  { dampersFirst }: Pick<CostComparison, 'dampersFirst'>,
): string {
  return courseIn(course, { fitsTires, dampersFirst }, texts);
}

/** A sentence that no line of the page parts between a figure and its unit. */
export function keepUnits(sentence: string): string {
  return sentence.replace(/(\d) (?=(?:mm|32nds|km|mi|kPa|psi|bar|%)(?!\p{L}))/gu, '$1\u00a0');
}

/** What a diagnosis comes to, in sentences. */
export function verdictOf(diagnosis: Diagnosis, file: CaseFile): Verdict {
  const { headline, detail, also, ...rest } = verdictIn(diagnosis, file, { texts });
  return {
    headline: keepUnits(headline),
    detail: keepUnits(detail),
    also: keepUnits(also),
    ...rest,
  };
}

/** Why the advice is what it is; an answer from before reasons had codes speaks English. */
export function adviceReasons(recommendation: Recommendation): string[] {
  return recommendationIn(recommendation, texts).reasons.map(keepUnits);
}

/** A part to look at, and why. */
export function partWords(part: Recommendation['parts'][number]): { part: string; why: string } {
  const { why, ...rest } = partIn(part, texts);
  return { ...rest, why: keepUnits(why) };
}

/** What speaks for and against a cause; the answer itself has it in English. */
export function reasonsOf(
  cause: RankedCause,
  file: CaseFile,
): Pick<RankedCause, 'because' | 'against'> {
  const { because, against } =
    pageLanguage === 'en'
      ? cause
      : createReasons(resolveCase(file), file.units.depth, texts)(cause);
  return { because: because.map(keepUnits), against: against.map(keepUnits) };
}
