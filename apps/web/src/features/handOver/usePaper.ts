import type { Language, Paper, Units } from '@keen/contract';
import { customerPaper, declinedBefore } from '@keen/core';
import { useMemo } from 'react';
import { useCostComparison } from '../../shared/useCostComparison.ts';
import { useVisit } from '../../shared/visitContext.ts';

/** The customer's sheet as it stands, in the customer's language and units; null while it is worked out. */
export function usePaper(): { paper: Paper | null; language: Language; units: Units } {
  const { session, detail, draft, diagnosing, units: own } = useVisit();
  const weighing = useCostComparison();
  const { language = 'en', units = own } = draft.visit?.handOver ?? {};
  const { answer, file } = diagnosing;
  const paper = useMemo(() => {
    if (!answer?.outlook || !file || !weighing) return null;
    const decision = detail.decisions.at(-1) ?? null;
    const advisor = session.people.find(({ id }) => id === decision?.personId) ?? session.person;
    const { name, town, settings, hasLogo } = session.shop;
    return customerPaper({
      shop: { name, town, settings, logo: hasLogo ? '/api/shop/logo' : null },
      visit: { number: detail.visit.number, arrivedAt: detail.visit.arrivedAt, draft },
      vehicle: detail.visit.vehicle,
      advisor: advisor.name,
      file,
      diagnosis: answer.diagnosis,
      expectedMm: answer.expectedMm,
      outlook: answer.outlook,
      weighing,
      decision,
      declined: declinedBefore(detail.history, draft, answer.diagnosis, settings.prices),
      language,
      units,
    });
  }, [answer, file, weighing, detail, draft, session, language, units]);
  return { paper, language, units };
}
