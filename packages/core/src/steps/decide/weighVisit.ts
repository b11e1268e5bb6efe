import type { CaseFile, PriceList, VisitDraft } from '@keen/contract';
import type { Axle, Wheel } from '@keen/contract/words';
import { AXLES } from '@keen/contract/words';
import { axleOf, WHEEL_ORDER } from '../../engine/case/wheels.ts';
import { playAt } from '../../visit/wornParts.ts';
import { weigh } from '../../engine/outlook/choices.ts';
import type { Constraints, Weighing, WorkPrices } from '../../engine/outlook/choices.ts';
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
 * Weighs the courses for a visit at its shop's prices; excessive play bars all but the parts, and an angle that
 * is out where the car has no adjuster for it needs an adjustable arm.
 * @param replace - tires that are replaced now
 */
export function weighVisit(
  outlook: Outlook,
  prices: PriceList,
  draft: VisitDraft,
  replace: readonly Wheel[],
): Weighing {
  const play = Object.fromEntries(
    WHEEL_ORDER.flatMap((wheel) => {
      const found = playAt(draft, wheel);
      return found === undefined ? [] : [[wheel, found]];
    }),
  ) as Play;
  const adjustable = draft.visit?.car?.adjustable;
  const without = (kind: 'camber' | 'toe') =>
    AXLES.filter((axle) => adjustable?.[axle]?.[kind] === 'no');
  return weigh(outlook, workPrices(prices), {
    ...constraintsOf(play, replace),
    notAdjustable: { camber: without('camber'), toe: without('toe') },
  });
}

type Play = CaseFile['play'];

/** The same for a case: weighs its courses with the play that was found. */
export function weighCase(
  outlook: Outlook,
  prices: PriceList,
  play: Play,
  replace: readonly Wheel[],
): Weighing {
  return weigh(outlook, workPrices(prices), constraintsOf(play, replace));
}

function constraintsOf(play: Play, replace: readonly Wheel[]): Constraints {
  const count = (axle: Axle) => replace.filter((wheel) => axleOf(wheel) === axle).length;
  return {
    partsFirst: WHEEL_ORDER.some((wheel) => play?.[wheel] === 'excessive'),
    replaced: { front: count('front'), rear: count('rear') },
  };
}
