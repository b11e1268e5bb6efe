import type { CaseFile, PriceList, VisitDraft } from '@keen/contract';
import type { Axle, Wheel } from '@keen/contract/words';
import { axleOf, WHEEL_ORDER } from '../../engine/case/wheels.ts';
import { playAt } from '../../visit/wornParts.ts';
import { weigh } from '../../engine/outlook/choices.ts';
import type { Weighing, WorkPrices } from '../../engine/outlook/choices.ts';
import type { Outlook } from '../../engine/outlook/outlook.ts';

/** What the courses of work cost by a shop's price list: a tire counts with its fitting and disposal. */
export function workPrices({ items }: PriceList): WorkPrices {
  const { check, align, inspect, parts, balance, inflate } = items;
  const fitted = items.fitTire + items.disposal;
  return {
    check,
    align,
    inspect,
    parts,
    balance,
    inflate,
    tire: { front: items.tireFront + fitted, rear: items.tireRear + fitted },
  };
}

/**
 * Weighs the courses for a visit at its shop's prices; excessive play bars all but the parts.
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
  return weighCase(outlook, prices, play, replace);
}

type Play = CaseFile['play'];

/** The same for a case: weighs its courses with the play that was found. */
export function weighCase(
  outlook: Outlook,
  prices: PriceList,
  play: Play,
  replace: readonly Wheel[],
): Weighing {
  const count = (axle: Axle) => replace.filter((wheel) => axleOf(wheel) === axle).length;
  return weigh(outlook, workPrices(prices), {
    partsFirst: WHEEL_ORDER.some((wheel) => play?.[wheel] === 'excessive'),
    replaced: { front: count('front'), rear: count('rear') },
  });
}
