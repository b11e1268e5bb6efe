import { weighVisit } from '@keen/core';
import type { Weighing } from '@keen/core';
import { useMemo } from 'react';
import { useVisit } from './visitContext.ts';

/** The courses of work weighed at the shop's prices; null while there is no answer to weigh. */
export function useWeighing(): Weighing | null {
  const { diagnosing, session, draft } = useVisit();
  const outlook = diagnosing.answer?.outlook;
  const { prices } = session.shop.settings;
  return useMemo(
    () => (outlook ? weighVisit(outlook, prices, draft) : null),
    [outlook, prices, draft],
  );
}
