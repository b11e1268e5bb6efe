import type { Diagnosis, PriceList } from '@keen/contract';
import type { FullAnswer } from '../../engine/diagnosis/diagnose.ts';
import { isBeforeFitting } from '../explain/recommend.ts';
import { rankCaseOptions } from './rankVisitOptions.ts';

/**
 * The diagnosis of a case with its advice weighed at given prices instead of usual ratios, as Decide does
 * at the shop's.
 * @param answer - the full answer to the case
 * @returns the diagnosis with the action that is cheapest, and every course with its money in minor units
 */
export function adviseAtPrices({ diagnosis, outlook }: FullAnswer, prices: PriceList): Diagnosis {
  const { recommendation } = diagnosis;
  const { advised, choices } = rankCaseOptions(outlook, prices, recommendation.replace);
  const courses = choices
    .toSorted((a, b) => a.perThousandKm - b.perThousandKm)
    .map(
      ({ course, workNow, now, perThousandKm, perThousandKmSpan: { low, high }, saves, bar }) => ({
        course,
        workNow,
        now,
        perThousandKm: { mean: perThousandKm, low, high },
        saves,
        bar,
      }),
    );
  return {
    ...diagnosis,
    recommendation: {
      ...recommendation,
      action: advised.course,
      beforeFitting: isBeforeFitting(advised.course),
      prices: 'given',
      courses,
    },
  };
}
