import { weighVisit } from '@keen/core';
import type { Weighing } from '@keen/core';
import { useMemo } from 'react';
import { useVisit } from './visitContext.ts';

/** The courses of work weighed at the shop's prices; null while there is no answer to weigh. */
export function useWeighing(): Weighing | null {
  const { diagnosing, session, draft, detail } = useVisit();
  const { outlook, diagnosis } = diagnosing.answer ?? {};
  const replace = detail.decisions.at(-1)?.replace ?? diagnosis?.recommendation.replace;
  const { prices } = session.shop.settings;
  return useMemo(
    () => (outlook && replace ? weighVisit(outlook, prices, draft, replace) : null),
    [outlook, prices, draft, replace],
  );
}
