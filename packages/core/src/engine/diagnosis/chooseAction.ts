import type { Action, Axle, Cause, Wheel } from '@keen/contract/words';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { WHEEL_ORDER } from '../case/wheels.ts';
import { historyFacts } from './historyFacts.ts';
import { treadSeen } from './treadSeen.ts';
import type { SeenWear } from './treadSeen.ts';

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

/** An alignment is sold without measuring first from this chance on that an angle is out. */
const ALIGN_FROM = 0.8;

/** A reason is given for each cause at least this likely. */
export const NAME_CAUSE_FROM = 0.3;

/** What speaks for work whatever the chances are. */
export interface PlainFacts {
  /** Wear that anyone can see. */
  seen: readonly SeenWear[];
  /**
   * What has moved the angles since the car was last aligned, where no rig has found them in tolerance since.
   */
  moved: 'height' | 'parts' | null;
}

/**
 * What to do before new tires go on: the action with the least expected cost, counting the work and
 * what a fault left alone takes from the next set. Any work includes setting the pressures.
 *
 * Two facts come before the chances. A tread that is plainly uneven is not answered by fitting the next
 * one: what wore it will wear that too, so the least is to measure. After a lift, a lowering or new
 * suspension parts the angles are others than they were, whatever the tread says yet (common practice, no source).
 */
export function chooseAction(chances: GroupChances, facts: PlainFacts): Action {
  const cheapest = cheapestAction(chances);
  // Measuring comes first in any alignment: short of near certainty it is what is sold.
  if (cheapest === 'align' && chances.alignment < ALIGN_FROM && facts.moved === null) {
    return 'checkAlignment';
  }
  if (cheapest !== 'fitOnly' && cheapest !== 'inflateAndWatch') return cheapest;
  if (facts.moved !== null) return 'align';
  if (facts.seen.some(({ kind }) => kind === 'edge' || kind === 'across')) return 'checkAlignment';
  return facts.seen.length > 0 ? 'inflateAndWatch' : cheapest;
}

function cheapestAction(chances: GroupChances): Action {
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

/** Takes the plain facts out of a case. */
export function plainFacts(resolved: ResolvedCase): PlainFacts {
  const { isHeightChanged, hasNewParts } = historyFacts(resolved);
  const moved = isHeightChanged ? 'height' : hasNewParts ? 'parts' : null;
  return { seen: treadSeen(resolved), moved: isMeasuredInOrder(resolved) ? null : moved };
}

/** Whether a rig has found every camber and both total toes in tolerance. */
function isMeasuredInOrder({ angles, tolerances }: ResolvedCase): boolean {
  const within = (value: number | null, [low, high]: readonly [number, number]) =>
    value !== null && value >= low && value <= high;
  const cambers = WHEEL_ORDER.every((wheel, i) =>
    within(angles[wheel].camber, tolerances.camber[i < 2 ? 'front' : 'rear']),
  );
  const total = (left: number | null, right: number | null) =>
    left === null || right === null ? null : left + right;
  return (
    cambers &&
    within(total(angles.lf.toe, angles.rf.toe), tolerances.totalToe.front) &&
    within(total(angles.lr.toe, angles.rr.toe), tolerances.totalToe.rear)
  );
}
