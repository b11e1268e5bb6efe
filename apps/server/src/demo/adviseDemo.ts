import { DEFAULT_PRICES } from '@keen/contract';
import type { VisitDraft } from '@keen/contract';
import { forecastOf, rankVisitOptions } from '@keen/core';
import type { WholeAnswer } from '@keen/core';
import type { Advised } from '@keen/demo';

/** What the product advises at a visit of the made-up shop. */
export function adviseDemo(
  { diagnosis, outlook, ribsAfter }: Pick<WholeAnswer, 'diagnosis' | 'outlook' | 'ribsAfter'>,
  draft: VisitDraft,
): Advised {
  const { replace } = diagnosis.recommendation;
  const { advised } = rankVisitOptions(outlook, DEFAULT_PRICES, draft, replace);
  return {
    action: advised.course,
    replace,
    diagnosis,
    forecast: (decided) => forecastOf(ribsAfter, decided),
  };
}
