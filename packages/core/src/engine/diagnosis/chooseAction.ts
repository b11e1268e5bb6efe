import { ACTIONS } from '@keen/contract/words';
import type { Action, Axle, Cause, Wheel } from '@keen/contract/words';
import { NAME_CAUSE_FROM } from '../outlook/outlook.ts';
import type { Bar } from '../outlook/outlook.ts';
import type { PlainFacts, Unexplained } from './plainFacts.ts';
import type { SeenWear } from './treadSeen.ts';

/** Faults that one piece of work puts right. */
export type FaultGroup = 'alignment' | 'looseness' | 'bounce' | 'pressure';

/** What the draws say is out, as chances of the groups that one piece of work puts right. */
export interface GroupChances extends Record<FaultGroup, number> {
  /** Any camber or toe outside tolerance. */
  alignment: number;
  /** Groups with a cause that is told to the customer as what happened: {@link SAID_FROM} at one place. */
  said: readonly FaultGroup[];
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
const ALIGN_FROM = 0.9;

/** From here on the tread shows what a rig has found out. */
const SHOWN_FROM = 0.5;

/** From here on a cause at one place is spoken of as what happened. */
export const SAID_FROM = 0.45;

/** From here on a cause is named as the best guess; short of it the tread shows nothing out. */
export const GUESSED_FROM = 0.2;

/** What each course puts right, without the pressures: every course but fitting alone sets them. */
const PUTS_RIGHT: Record<Action, readonly FaultGroup[]> = {
  fitOnly: [],
  inflateAndWatch: [],
  checkAlignment: ['alignment'],
  align: ['alignment'],
  partsThenAlign: ['looseness', 'alignment'],
  balanceOrDampers: ['bounce'],
};

/**
 * What answers a report that angles in order do not explain: a crooked steering wheel is set straight with the tie
 * rods, the last step of an alignment; wander and poor return come from joints; a pull is a tire's, which no course
 * is for (common practice, no source).
 */
const ANSWERED_BY: Record<Unexplained, Action | null> = {
  pull: null,
  wheelOff: 'align',
  wander: 'partsThenAlign',
  noReturn: 'partsThenAlign',
};

/**
 * The courses that are left out before anything is weighed in money, each with its reason.
 *
 * A tread that is plainly uneven is not answered by fitting the next one: what wore it will wear that
 * too, so the least is to measure. After a lift, a lowering or new suspension parts the angles are others
 * than they were, whatever the tread says yet. Measuring comes first in any alignment: short of near
 * certainty it is what is sold; a tread plainly one-sided with angles in order has its joints looked through.
 * What a rig finds out today is set, though it wore no tread yet; short of the tread's word it is measured again
 * first. Excessive play found by hand comes before everything. A pressure that is off today is set, and a driver who
 * reports a pull or a crooked wheel is not sent home with tires alone; one who reports a vibration has the wheels
 * balanced and looked at, unless new tires, which are balanced as they are fitted, come anyway (common practice, no
 * source).
 * Parts, dampers and air are not advised on a suspicion. Loose joints and dampers that the customer is told of are not
 * left as they are, though they take little rubber: a loose joint is dangerous and lets no setting hold, so joints are
 * looked through before anything else; a worn damper shakes the car and lengthens its braking (common practice, no
 * source). Angles that are out cost rubber alone, so money decides.
 */
export function barredCourses(
  chances: GroupChances,
  facts: PlainFacts,
): Partial<Record<Action, Bar>> {
  const said = saidNow(chances, facts);
  if (facts.playFound.length > 0) {
    const others = ACTIONS.filter((course) => course !== 'partsThenAlign');
    return Object.fromEntries(others.map((course) => [course, 'partsFirst']));
  }
  const dampersFirst = isDampersFirst(chances, facts);
  const unsaid = (course: Action): Bar | undefined => {
    if (said.includes('looseness')) return course === 'partsThenAlign' ? undefined : 'loose';
    if (said.includes('bounce')) {
      const putsRight = PUTS_RIGHT[course];
      const seesToBoth = dampersFirst && putsRight.includes('alignment');
      return seesToBoth || putsRight.some((group) => said.includes(group)) ? undefined : 'said';
    }
    return said.includes('pressure') && course === 'fitOnly' ? 'said' : undefined;
  };
  const bars = barsWhateverIsSaid(chances, facts);
  for (const course of ACTIONS) {
    const bar = bars[course] ?? unsaid(course);
    if (bar) bars[course] = bar;
  }
  if (facts.pressureFound.length > 0) bars.fitOnly ??= 'pressureFound';
  if (bars.fitOnly === undefined && chances.pressure < NAME_CAUSE_FROM) {
    bars.inflateAndWatch ??= 'unlikely';
  }
  return bars;
}

/** What is told as having happened and can still be put right. */
function saidNow(
  chances: Pick<GroupChances, 'said'>,
  { seen, moved, measured, isHandlingOff }: PlainFacts,
): readonly FaultGroup[] {
  const said = saidWithWaves(chances, seen);
  // Angles that have moved or were found out, a tread that is plainly one-sided and a car that does not go straight
  // ask for an alignment whatever else is said.
  const isAsked = measured === 'out' || isHandlingOff || isOneSided(seen);
  if (said.length > 0 && moved !== null) return [...said, 'alignment'];
  // The angles of today are in order, whatever wore the tread.
  if (measured === 'inOrder') return said.filter((group) => group !== 'alignment');
  return said.length > 0 && isAsked ? [...said, 'alignment'] : said;
}

/** What is told as having happened; heavy waves under the hand are, whatever the chances. */
function saidWithWaves(
  { said }: Pick<GroupChances, 'said'>,
  seen: readonly SeenWear[],
): readonly FaultGroup[] {
  const isFelt = !said.includes('bounce') && seen.some(({ kind }) => kind === 'waves');
  return isFelt ? [...said, 'bounce'] : said;
}

/**
 * Whether an angle was found out that the tread does not show, with nothing known to have moved it lately: a
 * reading can be wrong, so it is taken again before anything is set.
 */
export function isFindingDoubted(
  { alignment }: Pick<GroupChances, 'alignment'>,
  { measured, isSetSince, pull }: PlainFacts,
): boolean {
  return measured === 'out' && !isSetSince && pull === null && alignment < SHOWN_FROM;
}

function barsWhateverIsSaid(
  chances: GroupChances,
  facts: PlainFacts,
): Partial<Record<Action, Bar>> {
  const { alignment, looseness, bounce } = chances;
  const { seen, moved, measured, isSetSince } = facts;
  const isBounceSaid = saidWithWaves(chances, seen).includes('bounce');
  const bars: Partial<Record<Action, Bar>> = {};
  if (looseness < NAME_CAUSE_FROM) bars.partsThenAlign = 'unlikely';
  if (bounce < NAME_CAUSE_FROM && !isBounceSaid) bars.balanceOrDampers = 'unlikely';
  if (moved !== null) {
    return {
      ...bars,
      fitOnly: 'moved',
      inflateAndWatch: 'moved',
      checkAlignment: 'moved',
      balanceOrDampers: 'moved',
    };
  }
  if (measured !== null) bars.checkAlignment = 'measured';
  if (measured === 'inOrder') bars.align = 'inOrder';
  if (measured === null && (alignment < ALIGN_FROM || facts.isAlignedLately)) {
    bars.align = 'measureFirst';
  }
  if (facts.isHandlingOff) {
    bars.fitOnly = 'complaint';
    bars.inflateAndWatch = 'complaint';
  }
  if (facts.unexplained !== null) {
    bars.fitOnly = 'complaint';
    const answer = ANSWERED_BY[facts.unexplained];
    // Joints that were all found tight need no second look.
    if (answer !== null && !(answer === 'partsThenAlign' && facts.areJointsTight)) {
      bars.inflateAndWatch = 'complaint';
      delete bars[answer];
    }
  }
  // What is likely of it is what is likely of any car.
  const isTold = alignment >= SHOWN_FROM || facts.isHandlingOff || isOneSided(seen);
  if (facts.isHardlyWorn && !isTold) bars.checkAlignment ??= 'unlikely';
  if (facts.isShaking) {
    bars.fitOnly = 'complaint';
    bars.inflateAndWatch = 'complaint';
    delete bars.balanceOrDampers;
    // Measuring finds no wheel that is out of balance.
    if (!isMeasuringAsked(chances, facts)) bars.checkAlignment = 'complaint';
  }
  if (measured === 'out') {
    const found = facts.pull ? 'pull' : 'foundOut';
    bars.fitOnly = found;
    bars.inflateAndWatch = found;
    if (!isBounceSaid) bars.balanceOrDampers = found;
    if (isFindingDoubted(chances, facts)) {
      delete bars.checkAlignment;
      bars.align = 'measureAgain';
    }
  }
  if (facts.doubted.length + facts.unread.length > 0) bars.fitOnly = 'readFirst';
  // What wore the tread has been put right since.
  if (measured === 'inOrder' && isSetSince) return bars;
  const uneven = facts.isAlignedLately && isOneSided(seen) ? 'seenBefore' : 'seen';
  if (seen.length > 0) bars.fitOnly = uneven;
  if (isOneSided(seen)) {
    bars.inflateAndWatch = uneven;
    // One-sided wear with angles in order points to what moves them under way; dampers alone never made it.
    if (measured === 'inOrder') delete bars.partsThenAlign;
    else bars.balanceOrDampers ??= uneven;
  }
  return bars;
}

/** Whether the tread shows what angles do, and air does not. */
export function isOneSided(seen: readonly SeenWear[]): boolean {
  return seen.some(({ kind }) => kind === 'edge' || kind === 'across' || kind === 'saw');
}

/** Whether anything beside a vibration asks for the angles. */
function isMeasuringAsked({ alignment }: GroupChances, facts: PlainFacts): boolean {
  const isUneven = facts.seen.some(({ kind }) => kind !== 'waves');
  return alignment >= NAME_CAUSE_FROM || facts.isHandlingOff || isUneven;
}

/**
 * What to do before new tires go on: of the courses that are not barred, the one with the least expected
 * cost, counting the work and what a fault left alone takes from the next set. Any work includes setting
 * the pressures.
 */
export function chooseAction(chances: GroupChances, facts: PlainFacts): Action {
  const bars = barredCourses(chances, facts);
  const costs = Object.entries(expectedCosts(chances, isDampersFirst(chances, facts))) as [
    Action,
    number,
  ][];
  return costs
    .filter(([course]) => bars[course] === undefined)
    .reduce((best, entry) => (entry[1] < best[1] ? entry : best))[0];
}

function expectedCosts(chances: GroupChances, dampersFirst: boolean): Record<Action, number> {
  const { alignment, looseness, bounce, pressure } = chances;
  const left = {
    alignment: alignment * LEFT_ALONE.alignment,
    looseness: looseness * LEFT_ALONE.looseness,
    bounce: bounce * LEFT_ALONE.bounce,
    pressure: pressure * LEFT_ALONE.pressure,
  };
  const waves = dampersFirst ? WORK.balance : left.bounce;
  // An alignment on loose parts does not hold: the part of it that is lost counts as left alone.
  const alignsFor = (work: number) => work + left.looseness + waves + left.alignment * looseness;
  return {
    fitOnly: left.alignment + left.looseness + left.bounce + left.pressure,
    inflateAndWatch: WORK.air + left.alignment + left.looseness + left.bounce,
    checkAlignment: alignsFor(WORK.check + alignment * WORK.align),
    align: alignsFor(WORK.align),
    partsThenAlign:
      WORK.check + looseness * (WORK.parts - WORK.check) + alignment * WORK.align + waves,
    balanceOrDampers: WORK.balance + left.alignment + left.looseness,
  };
}

/**
 * Whether dampers and balance come before any alignment: waves that are told to have happened, on a car whose joints
 * are to be seen to, after which it is aligned, or whose angles are to be set or measured. A new strut moves the
 * camber (common practice, no source).
 */
export function isDampersFirst(
  { said, alignment }: Pick<GroupChances, 'said' | 'alignment'>,
  { moved, seen, measured, playFound }: PlainFacts,
): boolean {
  if (!saidWithWaves({ said }, seen).includes('bounce')) return false;
  if (playFound.length > 0 || said.includes('looseness')) return true;
  const isAsked = alignment >= NAME_CAUSE_FROM || moved !== null || isOneSided(seen);
  return isAsked && measured !== 'inOrder';
}
