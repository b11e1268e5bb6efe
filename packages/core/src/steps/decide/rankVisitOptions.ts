import type { PriceList, VisitDraft } from '@keen/contract';
import type { Axle, Wheel } from '@keen/contract/words';
import { AXLES } from '@keen/contract/words';
import { axleOf } from '../../engine/case/wheels.ts';
import { rankOptions } from '../../engine/outlook/choices.ts';
import type { Constraints, CostComparison, WorkPrices } from '../../engine/outlook/choices.ts';
import type { Outlook } from '../../engine/outlook/outlook.ts';

/** What the courses of work cost by a shop's price list: a tire counts with its fitting and disposal. */
export function workPrices({ items }: PriceList): WorkPrices {
  const { check, align, inspect, parts, adjustableArm, balance, inflate, pressureSensor } = items;
  const fitted = items.fitTire + items.disposal;
  return {
    check,
    align,
    inspect,
    parts,
    adjustableArm,
    balance,
    inflate,
    pressureSensor,
    tire: { front: items.tireFront + fitted, rear: items.tireRear + fitted },
  };
}

/**
 * Weighs the courses for a visit at its shop's prices; an angle that is out where the car has no adjuster for it
 * needs an adjustable arm.
 * @param replace - tires that are replaced now
 */
export function rankVisitOptions(
  outlook: Outlook,
  prices: PriceList,
  draft: VisitDraft,
  replace: readonly Wheel[],
): CostComparison {
  const adjustable = draft.visit?.car?.adjustable;
  const without = (kind: 'camber' | 'toe') =>
    AXLES.filter((axle) => adjustable?.[axle]?.[kind] === 'no');
  return rankOptions(outlook, workPrices(prices), {
    replaced: replacedOf(replace),
    notAdjustable: { camber: without('camber'), toe: without('toe') },
  });
}

/** The same for a case, which does not say what can be adjusted. */
export function rankCaseOptions(
  outlook: Outlook,
  prices: PriceList,
  replace: readonly Wheel[],
): CostComparison {
  return rankOptions(outlook, workPrices(prices), { replaced: replacedOf(replace) });
}

function replacedOf(replace: readonly Wheel[]): Constraints['replaced'] {
  const count = (axle: Axle) => replace.filter((wheel) => axleOf(wheel) === axle).length;
  return { front: count('front'), rear: count('rear') };
}
