import type { Recommendation } from '@keen/contract';
import type { Action, Cause, Wheel, Axle, WheelStatus } from '@keen/contract/words';
import { WHEEL_ORDER } from '../case/wheels.ts';
import { causeWords, whereWords } from './causeWords.ts';

/** What the draws say is out, as chances of the groups that one piece of work puts right. */
export interface GroupChances {
  /** Any camber or toe outside tolerance. */
  alignment: number;
  looseness: number;
  bounce: number;
  pressure: number;
}

export interface CauseChance {
  cause: Cause;
  where: Wheel | Axle;
  probability: number;
}

/**
 * Prices in units of one new tire (common practice, no source): what the work costs, and what the
 * next set loses when the fault stays.
 */
const WORK = { check: 0.25, align: 0.8, parts: 1.6, balance: 0.7, air: 0.05 } as const;
const LEFT_ALONE = { alignment: 1.5, looseness: 2, bounce: 1.2, pressure: 0.6 } as const;

/** A part is named when it is this likely to be worn. */
const NAME_PART_FROM = 0.4;
/** A reason is given for each cause at least this likely. */
const NAME_CAUSE_FROM = 0.3;

/**
 * What to do before new tires go on: the action with the least expected cost, counting the work and
 * what a fault left alone takes from the next set. Any work includes setting the pressures.
 */
export function chooseAction(chances: GroupChances): Action {
  const { alignment, looseness, bounce, pressure } = chances;
  const left = {
    alignment: alignment * LEFT_ALONE.alignment,
    looseness: looseness * LEFT_ALONE.looseness,
    bounce: bounce * LEFT_ALONE.bounce,
    pressure: pressure * LEFT_ALONE.pressure,
  };
  // An alignment on loose parts does not hold: the part of it that is lost counts as left alone.
  const alignsFor = (work: number) =>
    work + left.looseness + left.bounce + left.alignment * looseness;
  const costs: Record<Action, number> = {
    fitOnly: left.alignment + left.looseness + left.bounce + left.pressure,
    inflateAndWatch: WORK.air + left.alignment + left.looseness + left.bounce,
    checkAlignment: alignsFor(WORK.check + alignment * WORK.align),
    align: alignsFor(WORK.align),
    partsThenAlign:
      WORK.check + looseness * (WORK.parts - WORK.check) + alignment * WORK.align + left.bounce,
    balanceOrDampers: WORK.balance + left.alignment + left.looseness,
  };
  // Looking under the car costs little, but the answer "parts" needs more than a suspicion.
  if (looseness < NAME_CAUSE_FROM) costs.partsThenAlign = Number.POSITIVE_INFINITY;
  return (Object.entries(costs) as [Action, number][]).reduce((best, entry) =>
    entry[1] < best[1] ? entry : best,
  )[0];
}

/** The whole recommendation, with the tires to replace and the parts to look at. */
export function recommend(
  chances: GroupChances,
  causes: readonly CauseChance[],
  statuses: Record<Wheel, WheelStatus>,
): Recommendation {
  const action = chooseAction(chances);
  const unsafe = WHEEL_ORDER.filter((wheel) => statuses[wheel] === 'unsafe');
  const replace = WHEEL_ORDER.filter((wheel) => ['unsafe', 'replace'].includes(statuses[wheel]));
  return {
    action,
    beforeFitting: !['fitOnly', 'inflateAndWatch'].includes(action),
    replace,
    unsafe,
    parts: causes.flatMap(partOf),
    reasons: reasonsFor(chances, causes, replace, unsafe),
  };
}

function partOf({ cause, where, probability }: CauseChance): Recommendation['parts'] {
  if (probability < NAME_PART_FROM) return [];
  const why = `${percent(probability)} likely, from the tread`;
  if (cause === 'looseness') {
    return [{ part: 'Rod ends, bushings and bearings', where, why }];
  }
  if (cause === 'bounce') return [{ part: 'Damper or wheel balance', where, why }];
  return [];
}

function reasonsFor(
  chances: GroupChances,
  causes: readonly CauseChance[],
  replace: readonly Wheel[],
  unsafe: readonly Wheel[],
): string[] {
  const reasons = causes
    .filter(({ probability }) => probability >= NAME_CAUSE_FROM)
    .map(
      ({ cause, where, probability }) =>
        `${causeWords(cause)} at the ${whereWords(where)}: ${percent(probability)} likely.`,
    );
  if (chances.looseness >= NAME_CAUSE_FROM) {
    reasons.push('Parts first: an alignment on loose joints does not hold.');
  }
  if (unsafe.length > 0) {
    reasons.push(`Not safe to drive on: ${unsafe.map(whereWords).join(', ')}.`);
  }
  const worn = replace.filter((wheel) => !unsafe.includes(wheel));
  if (worn.length > 0) {
    reasons.push(`At or below the legal limit: ${worn.map(whereWords).join(', ')}.`);
  }
  const named = causes.some(({ probability }) => probability >= NAME_CAUSE_FROM);
  if (!named && chances.alignment >= NAME_CAUSE_FROM) {
    reasons.unshift(
      `No single angle stands out, but that one of them is out is ${percent(chances.alignment)} likely.`,
    );
  }
  if (reasons.length === 0) {
    reasons.push('Nothing stands out: the tread fits a car in tolerance.');
  }
  return reasons;
}

function percent(probability: number): string {
  const rounded = Math.round(probability * 100);
  if (rounded >= 100) return 'over 99 %';
  if (rounded <= 0) return 'under 1 %';
  return `${rounded} %`;
}
