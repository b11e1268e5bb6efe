import type { Diagnosis, PriceList, Recommendation } from '@keen/contract';
import type { FullAnswer } from '../../engine/diagnosis/diagnose.ts';
import type { CostComparison } from '../../engine/outlook/choices.ts';
import { withAction } from '../explain/recommend.ts';
import { rankCaseOptions } from './rankVisitOptions.ts';

/**
 * The diagnosis of a case with its advice weighed at given prices instead of usual ratios, as Decide does
 * at the shop's.
 * @param answer - the full answer to the case
 * @returns the diagnosis with the action that is cheapest, and every course with its money in minor units
 */
export function adviseAtPrices({ diagnosis, outlook }: FullAnswer, prices: PriceList): Diagnosis {
  const { recommendation } = diagnosis;
  const weighing = rankCaseOptions(outlook, prices, recommendation.replace);
  const courses = weighing.choices
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
      ...adviceWeighed(recommendation, weighing),
      prices: 'given',
      courses,
    },
  };
}

/** The recommendation with the action that was weighed as cheapest, and reasons that fit it. */
export function adviceWeighed(
  recommendation: Recommendation,
  { advised, choices }: Pick<CostComparison, 'advised' | 'choices'>,
): Recommendation {
  const isInOrder = choices.some(({ course, bar }) => course === 'align' && bar === 'inOrder');
  return withAction(recommendation, advised.course, isInOrder);
}
