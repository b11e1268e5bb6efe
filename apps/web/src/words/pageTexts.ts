import type { CaseFile, Diagnosis, RankedCause, Recommendation } from '@keen/contract';
import type { Action, Axle, Cause, Wheel } from '@keen/contract/words';
import {
  actionWords as actionIn,
  courseWords as courseIn,
  advicePart,
  adviceReason,
  createReasons,
  resolveCase,
  sureIn,
  textsOf,
  verdictOf as verdictIn,
} from '@keen/core';
import type { CostComparison, Verdict } from '@keen/core';
import { pageLanguage } from './pageLanguage.ts';

/** What the core says, in the language of the page; papers for customers ask for the customer's. */
export const { texts, papers } = textsOf(pageLanguage);

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

/** What a diagnosis comes to, in sentences. */
export function verdictOf(diagnosis: Diagnosis, file: CaseFile): Verdict {
  return verdictIn(diagnosis, file, { texts });
}

/** Why the advice is what it is; an answer from before reasons had codes speaks English. */
export function adviceReasons({ codes, reasons }: Recommendation): string[] {
  return codes?.map((code) => adviceReason(code, texts)) ?? reasons;
}

/** A part to look at, and why. */
export function partWords(part: Recommendation['parts'][number]): { part: string; why: string } {
  const { cause, probability } = part;
  return cause === undefined || probability === undefined
    ? part
    : advicePart(cause, probability, texts);
}

/** What speaks for and against a cause; the answer itself has it in English. */
export function reasonsOf(
  cause: RankedCause,
  file: CaseFile,
): Pick<RankedCause, 'because' | 'against'> {
  if (pageLanguage === 'en') return cause;
  return createReasons(resolveCase(file), file.units.depth, texts)(cause);
}
