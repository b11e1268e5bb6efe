import type { PracticeCar, VisitDetail, VisitDraft } from '@keen/contract';
import { t } from '../../words/practice.ts';

/** A practice car as the steps of a visit know one; it has no number, customer or past. */
export function practiceVisit(car: PracticeCar, draft: VisitDraft): VisitDetail {
  const { id, startedAt, finishedAt } = car;
  return {
    visit: {
      id,
      number: 0,
      vehicle: {
        id,
        plate: '',
        label: t('practiceVisit.practiceCar'),
        customer: '',
        phone: '',
        vin: '',
        drive: draft.vehicle?.drive ?? null,
      },
      arrivedAt: startedAt,
      closedAt: finishedAt,
      draft,
      seq: 0,
      waits: null,
      decision: null,
    },
    entries: [],
    decisions: [],
    history: [],
  };
}
