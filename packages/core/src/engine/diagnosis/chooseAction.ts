import type { Action, Axle, Cause, Wheel } from '@keen/contract/words';

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

/** A reason is given for each cause at least this likely. */
export const NAME_CAUSE_FROM = 0.3;

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
