import type { PriceList, VisitDraft } from '@keen/contract';
import type { Action, Axle, Cause, Wheel } from '@keen/contract/words';
import { AXLES } from '@keen/contract/words';
import { WHEELS_OF_AXLE } from '../engine/case/wheels.ts';
import type { FullAnswer } from '../engine/diagnosis/diagnose.ts';
import { rankVisitOptions, workPrices } from '../steps/decide/rankVisitOptions.ts';
import { causeGroups } from '../steps/explain/causeGroups.ts';

/** What a car costs its owner in tires and work, and what that comes from. */
export interface CarCost {
  advised: Action;
  /** Each 1000 km with nothing done but new tires, minor units. */
  asIs: number;
  /** The same with what is advised. */
  asAdvised: number;
  /** What {@link asIs} goes on, by what takes the rubber; minor units, summing to it. */
  byCause: Record<WearPart, number>;
  /** The cause that leads; null where none does. */
  cause: { cause: Cause; where: Wheel | Axle; probability: number } | null;
}

/** What takes rubber: the wear that any car has, and what comes on top. */
export const WEAR_PARTS = ['base', 'camber', 'toe', 'pressure', 'cornering', 'bounce'] as const;
export type WearPart = (typeof WEAR_PARTS)[number];

/** What a car costs as it is and as advised, at the shop's prices. */
export function carCost(answer: FullAnswer, prices: PriceList, draft: VisitDraft): CarCost {
  const { diagnosis, outlook } = answer;
  const weighing = rankVisitOptions(outlook, prices, draft, diagnosis.recommendation.replace);
  const asIs = weighing.choices.find(({ course }) => course === 'fitOnly')!;
  const [leading] = causeGroups(diagnosis);
  const place = leading?.places[0];
  return {
    advised: weighing.advised.course,
    asIs: asIs.perThousandKm,
    byCause: byCause(answer, prices, asIs.perThousandKm),
    asAdvised: weighing.advised.perThousandKm,
    cause: place
      ? { cause: place.cause, where: place.where, probability: leading.probability }
      : null,
  };
}

/**
 * Splits what tires cost: between the axles by the pairs that each uses up, and on an axle by what took the
 * rubber at its worst rib, which is what ends a tire.
 */
function byCause(
  { diagnosis, outlook }: FullAnswer,
  prices: PriceList,
  asIs: number,
): Record<WearPart, number> {
  const { pairsPerKm } = outlook.courses.find(({ course }) => course === 'fitOnly')!;
  const { tire } = workPrices(prices);
  const spent = (axle: Axle) =>
    tire[axle] * pairsPerKm[axle].reduce((total, pairs) => total + pairs, 0);
  const all = spent('front') + spent('rear');
  const split = { base: 0, camber: 0, toe: 0, pressure: 0, cornering: 0, bounce: 0 };
  for (const axle of AXLES) {
    const [left, right] = WHEELS_OF_AXLE[axle].map((wheel) => diagnosis.wheels[wheel].wear);
    const worst = left!.total >= right!.total ? left! : right!;
    for (const part of WEAR_PARTS) {
      const share = worst.total > 0 ? worst[part] / worst.total : part === 'base' ? 1 : 0;
      split[part] += all > 0 ? (asIs * spent(axle) * share) / all : 0;
    }
  }
  return split;
}
