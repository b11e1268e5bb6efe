import type { VisitDraft } from '@keen/contract';
import { WHEELS, WORKS } from '@keen/contract/words';
import type { Action, Catch, Return, Work } from '@keen/contract/words';
import { countRead } from '../visit/draftToCase.ts';
import { runBetween } from '../visit/tireLives.ts';
import type { CarVisit } from '../visit/tireLives.ts';
import { workDone } from '../visit/workDone.ts';
import type { Decided } from '../visit/workDone.ts';
import { playAt } from '../visit/wornParts.ts';
import { anglesOut } from './anglesOut.ts';
import { heldAt, holding } from './holding.ts';
import type { Followed, HoldingStep } from './holding.ts';
import { shareOf } from './share.ts';

/** A visit as far as comebacks go. */
export interface FollowedVisit {
  id: string;
  number: number;
  /** ISO date and time. */
  arrivedAt: string;
  draft: VisitDraft;
  decision: (NonNullable<Decided['decision']> & { advised: Action }) | null;
}

/** Work that came undone, and the first visit at which that could have been seen or kept from happening. */
export interface Comeback<Visit extends FollowedVisit = FollowedVisit> {
  work: Work;
  done: Visit;
  back: Visit;
  /** Run between them, km. */
  km: number;
  how: Return;
  caughtAt: { visit: Visit; why: Catch } | null;
}

/** How one kind of work has held. */
export interface WorkHeld {
  work: Work;
  /** Times it was done. */
  done: number;
  /** Of them on cars that were seen again. */
  seenAgain: number;
  /** Came undone within the distance asked for. */
  cameBack: number;
  /** What part still holds at that distance, with its 95 % interval; null where nothing tells. */
  held: { part: number; low: number; high: number } | null;
  isTooFew: boolean;
  steps: HoldingStep[];
}

/** Fewer cars seen again are too few to tell. */
export const LEAST_SEEN_AGAIN = 20;

/**
 * Follows work from the visit at which it was done to those that come after: whether it held, over how many
 * kilometres, and who could have seen that it would not.
 * @param cars - the visits of each car from the one of the work on, oldest first; the first is the one followed
 * @param withinKm - what comes back later than this is new wear
 */
export function comebacks<Visit extends FollowedVisit>(
  cars: readonly (readonly Visit[])[],
  withinKm: number,
): { works: WorkHeld[]; rows: Comeback<Visit>[] } {
  const stories = cars.flatMap((visits) => {
    const [done] = visits;
    const work = done && workDone(done);
    return done && work ? [follow(work, done, visits.slice(1))] : [];
  });
  const works = WORKS.map((work) => workHeld(work, stories, withinKm)).filter(
    ({ done }) => done > 0,
  );
  const rows = stories.flatMap(({ back }) => (back && back.km <= withinKm ? [back] : []));
  return { works, rows };
}

interface Story<Visit extends FollowedVisit = FollowedVisit> {
  work: Work;
  /** Null when the car was not seen again. */
  followed: Followed | null;
  back: Comeback<Visit> | null;
}

function follow<Visit extends FollowedVisit>(
  work: Work,
  done: Visit,
  later: readonly Visit[],
): Story<Visit> {
  let seenKm: number | null = null;
  for (const [i, visit] of later.entries()) {
    const km = runBetween(tiresOf(done), tiresOf(visit));
    if (km === null) continue;
    const how = returned(work, visit);
    if (how !== null) {
      const caughtAt = couldHaveCaught(work, done, later.slice(0, i));
      return {
        work,
        followed: { km, cameUndone: true },
        back: { work, done, back: visit, km, how, caughtAt },
      };
    }
    // A car that was here and not looked at says nothing; one that was worked on again starts again.
    if (wouldHaveShown(visit)) seenKm = km;
    if (workDone(visit) !== null) break;
  }
  return {
    work,
    followed: seenKm === null ? null : { km: seenKm, cameUndone: false },
    back: null,
  };
}

/** How a visit shows that earlier work came undone; null when it does not. */
function returned(work: Work, { draft, decision }: FollowedVisit): Return | null {
  const advised = decision?.advised;
  if (work === 'inflated') return advised === 'inflateAndWatch' ? 'pressure' : null;
  if (work === 'balancedOrDampers') return advised === 'balanceOrDampers' ? 'bounce' : null;
  const isOut = foundOut(draft);
  if (isOut !== null) return isOut ? 'measured' : null;
  return advised === 'align' || advised === 'partsThenAlign' ? 'tread' : null;
}

function couldHaveCaught<Visit extends FollowedVisit>(
  work: Work,
  done: Visit,
  between: readonly Visit[],
): Comeback<Visit>['caughtAt'] {
  const atDone = wrongWhenDone(work, done);
  if (atDone) return { visit: done, why: atDone };
  for (const visit of between) {
    const { advised, answer } = visit.decision ?? {};
    if (advised === 'checkAlignment' && (answer !== 'yes' || foundOut(visit.draft) === null)) {
      return { visit, why: 'checkNotMade' };
    }
    if (countRead(visit.draft) === 0) return { visit, why: 'notRead' };
    if (!visit.decision) return { visit, why: 'notDecided' };
  }
  const isShaken = WHEELS.some((wheel) => playAt(done.draft, wheel) !== undefined);
  return setsAngles(work) && !isShaken ? { visit: done, why: 'notShaken' } : null;
}

/** What was wrong as the car left. */
function wrongWhenDone(work: Work, { draft }: FollowedVisit): Catch | null {
  if (!setsAngles(work)) return null;
  const after = anglesOut(draft.angles, draft.tolerances);
  if (after) return 'leftOut';
  const isLoose = WHEELS.some((wheel) => {
    const play = playAt(draft, wheel);
    return play === 'some' || play === 'excessive';
  });
  if (isLoose && work === 'aligned') return 'playLeft';
  return after === null ? 'notMeasuredAfter' : null;
}

function setsAngles(work: Work): boolean {
  return work === 'aligned' || work === 'partsThenAligned';
}

/** Whether the angles were out as the car came in; null where they were not measured. */
function foundOut({ angles, tolerances, visit }: VisitDraft): boolean | null {
  return anglesOut(visit?.setRight?.before ?? angles, tolerances);
}

/** Whether a visit would have shown it. */
function wouldHaveShown({ draft, decision }: FollowedVisit): boolean {
  return decision !== null || foundOut(draft) !== null;
}

function tiresOf({ id, arrivedAt, draft }: FollowedVisit): CarVisit {
  return { id, arrivedAt, draft, replaced: [] };
}

function workHeld(work: Work, all: readonly Story[], withinKm: number): WorkHeld {
  const stories = all.filter((one) => one.work === work);
  const followed = stories.flatMap((one) => one.followed ?? []);
  const steps = holding(followed);
  return {
    work,
    done: stories.length,
    seenAgain: followed.length,
    cameBack: followed.filter(({ km, cameUndone }) => cameUndone && km <= withinKm).length,
    held: partHeld(steps, followed, withinKm),
    isTooFew: followed.length < LEAST_SEEN_AGAIN,
    steps,
  };
}

function partHeld(
  steps: readonly HoldingStep[],
  followed: readonly Followed[],
  withinKm: number,
): WorkHeld['held'] {
  const at = heldAt(steps, withinKm);
  if (at) return { part: at.held, low: at.low, high: at.high };
  // Nothing has come undone so far: as sure as cars have been followed that far.
  const count = followed.filter(({ km }) => km >= withinKm).length;
  if (count === 0) return null;
  const { part, low, high } = shareOf(count, count);
  return { part, low, high };
}
