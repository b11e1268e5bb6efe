import type { LearnedConstants, ShopConstants, VisitDraft } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';

/**
 * What a shop learned of its cars, for the tires that are on this one: the wear of a named line moves the
 * rate where both axles have it, and the front against the rear where they differ.
 * @param learned - as the visit keeps it
 */
export function constantsFor({ traits, faultRates, lines }: LearnedConstants, draft: VisitDraft) {
  const rateOf = (wheel: Wheel): number => {
    const line = lineKey(draft.visit?.tires?.[wheel]?.line ?? '');
    return lines.find((one) => lineKey(one.line) === line)?.rate ?? 0;
  };
  const front = (rateOf('lf') + rateOf('rf')) / 2;
  const rear = (rateOf('lr') + rateOf('rr')) / 2;
  const moved = (mean: number, by: number) => Number((mean + by).toFixed(4));
  return {
    traits: {
      ...traits,
      wearRate: { ...traits.wearRate, mean: moved(traits.wearRate.mean, (front + rear) / 2) },
      frontToRear: {
        ...traits.frontToRear,
        mean: moved(traits.frontToRear.mean, (front - rear) / 2),
      },
    },
    faultRates,
  } satisfies ShopConstants;
}

/**
 * Two spellings of one tire line are the same line.
 * @example lineKey(' Harbour All-Season ') // 'harbour all-season'
 */
export function lineKey(line: string): string {
  return line.trim().toLowerCase();
}
