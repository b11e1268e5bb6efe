import { rankVisitOptions } from '@keen/core';
import type { CostComparison } from '@keen/core';
import { useMemo } from 'react';
import { useVisit } from './visitContext.ts';

/** The courses of work weighed at the shop's prices; null while there is no answer to weigh. */
export function useCostComparison(): CostComparison | null {
  const { diagnosing, session, draft, detail } = useVisit();
  const { outlook, diagnosis } = diagnosing.answer ?? {};
  const replace = detail.decisions.at(-1)?.replace ?? diagnosis?.recommendation.replace;
  const { prices } = session.shop.settings;
  return useMemo(
    () => (outlook && replace ? rankVisitOptions(outlook, prices, draft, replace) : null),
    [outlook, prices, draft, replace],
  );
}
