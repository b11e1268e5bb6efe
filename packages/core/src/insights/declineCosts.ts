import type { Diagnosis, PriceList, VisitDraft } from '@keen/contract';
import type { Action } from '@keen/contract/words';
import { declinedBefore } from '../steps/decide/declinedBefore.ts';
import type { EarlierVisit } from '../steps/decide/declinedBefore.ts';
import { meanOver } from './interval.ts';
import type { Mean } from './interval.ts';

/** A no, and the next visit at which the car was judged. */
export interface SeenAgain {
  declined: EarlierVisit;
  draft: VisitDraft;
  diagnosis: Diagnosis;
}

/** What declining one kind of work has cost, minor units at today's prices. */
export interface DeclineCost {
  advised: Action;
  /** Cars seen again. */
  seenAgain: number;
  /** On average, with nothing where nothing to speak of was lost. */
  cost: Mean;
  /** What the work would have come to, on average of those that cost something; null where none did. */
  work: number | null;
  isTooFew: boolean;
}

/** Fewer than this are too few to tell. */
export const LEAST_DECLINES = 10;

/** What one no has cost by the time the car was seen again, minor units; see {@link declinedBefore}. */
export function costOfDecline({ declined, draft, diagnosis }: SeenAgain, prices: PriceList) {
  return declinedBefore([declined], draft, diagnosis, prices);
}

/**
 * What saying no has cost customers in rubber, by what was advised, and over all kinds.
 * @param prices - of today
 * @returns over all kinds, and each kind by itself, the most cars first
 */
export function declineCosts(
  cases: readonly SeenAgain[],
  prices: PriceList,
): { all: Omit<DeclineCost, 'advised'>; byAdvised: DeclineCost[] } {
  const told = cases.map((one) => {
    const { advised, action } = one.declined.decision!;
    return { advised: advised ?? action, found: costOfDecline(one, prices) };
  });
  const costOf = (some: typeof told): Omit<DeclineCost, 'advised'> => {
    const works = some.flatMap(({ found }) => found?.work ?? []);
    return {
      seenAgain: some.length,
      cost: meanOver(some.map(({ found }) => found?.cost ?? 0)),
      work: works.length === 0 ? null : works.reduce((sum, minor) => sum + minor, 0) / works.length,
      isTooFew: some.length < LEAST_DECLINES,
    };
  };
  const kinds = [...new Set(told.map(({ advised }) => advised))];
  return {
    all: costOf(told),
    byAdvised: kinds
      .map((advised) => ({ advised, ...costOf(told.filter((one) => one.advised === advised)) }))
      .toSorted((a, b) => b.seenAgain - a.seenAgain || a.advised.localeCompare(b.advised)),
  };
}
