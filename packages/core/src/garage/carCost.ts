import type { PriceList, VisitDraft } from '@keen/contract';
import type { Action, Axle, Cause, Wheel } from '@keen/contract/words';
import type { FullAnswer } from '../engine/diagnosis/diagnose.ts';
import { weighVisit } from '../steps/decide/weighVisit.ts';
import { causeGroups } from '../steps/explain/causeGroups.ts';

/** What a car costs its owner in tires and work, and what that comes from. */
export interface CarCost {
  advised: Action;
  /** Each 1000 km with nothing done but new tires, minor units. */
  asIs: number;
  /** The same with what is advised. */
  asAdvised: number;
  /** The cause that leads; null where none does. */
  cause: { cause: Cause; where: Wheel | Axle; probability: number } | null;
}

/** What a car costs as it is and as advised, at the shop's prices. */
export function carCost(answer: FullAnswer, prices: PriceList, draft: VisitDraft): CarCost {
  const { diagnosis, outlook } = answer;
  const weighing = weighVisit(outlook, prices, draft, diagnosis.recommendation.replace);
  const asIs = weighing.choices.find(({ course }) => course === 'fitOnly')!;
  const [leading] = causeGroups(diagnosis);
  const place = leading?.places[0];
  return {
    advised: weighing.advised.course,
    asIs: asIs.perThousandKm,
    asAdvised: weighing.advised.perThousandKm,
    cause: place
      ? { cause: place.cause, where: place.where, probability: leading.probability }
      : null,
  };
}
