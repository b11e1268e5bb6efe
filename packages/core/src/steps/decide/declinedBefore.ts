import type { Action, Diagnosis, PriceList, VisitDraft } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';
import { DEFAULT_LIMITS_MM } from '../../engine/case/resolveCase.ts';
import { axleOf, WHEEL_ORDER } from '../../engine/case/wheels.ts';
import { ASSUMED } from '../../visit/draftToCase.ts';
import { workPrices } from './rankVisitOptions.ts';

/** An earlier visit of the car, as far as it matters here. */
export interface EarlierVisit {
  number: number;
  arrivedAt: string;
  draft: VisitDraft;
  decision: {
    action: Action;
    advised: Action | null;
    answer: 'yes' | 'no' | 'open';
    reason: string;
    replace: readonly Wheel[];
  } | null;
}

/** What was advised, declined, and what that has cost since. */
export interface DeclinedBefore {
  number: number;
  arrivedAt: string;
  advised: Action;
  /** In the customer's words; may be empty. */
  reason: string;
  /** Rubber taken since by what would have been put right, at the worst rib of each tire, mm. */
  lostMm: Record<Wheel, number>;
  /** The same in whole tires: parts of their usable rubber, summed. */
  tires: number;
  /** In minor units at today's prices. */
  cost: number;
  /** What the work costs at today's prices. */
  work: number;
}

/** Less rubber than this is a cost that nobody could have read, mm. */
const LEAST_MM = 0.3;

type WearPart = 'camber' | 'toe' | 'pressure' | 'bounce';

/** Causes that a course puts right. */
const PUTS_RIGHT: Record<Action, readonly WearPart[]> = {
  fitOnly: [],
  inflateAndWatch: ['pressure'],
  checkAlignment: ['camber', 'toe', 'pressure'],
  align: ['camber', 'toe', 'pressure'],
  partsThenAlign: ['camber', 'toe', 'pressure'],
  balanceOrDampers: ['bounce', 'pressure'],
};

/**
 * Looks for the last time that work was advised for this car and declined, and puts a figure to it: the
 * rubber that the diagnosis lays to causes which the work would have put right, the part of it that came
 * after that visit by distance, as a share of each tire's usable rubber at its price.
 * @param earlier - earlier visits of the car, latest first
 * @param draft - the visit of today, with its diagnosis
 * @returns null when nothing was declined, work was done since, or nothing to speak of was lost
 */
export function declinedBefore(
  earlier: readonly EarlierVisit[],
  draft: VisitDraft,
  diagnosis: Diagnosis,
  prices: PriceList,
): DeclinedBefore | null {
  const last = earlier.find(({ decision }) => decision !== null && decision.answer !== 'open');
  if (!last?.decision || last.decision.answer !== 'no') return null;
  const { advised: said, action, reason, replace } = last.decision;
  const advised = said ?? action;
  const parts = PUTS_RIGHT[advised];
  if (parts.length === 0) return null;
  const work = workPrices(prices);
  const legal = draft.limits?.legal ?? DEFAULT_LIMITS_MM.legal;
  const lostMm = {} as Record<Wheel, number>;
  let tires = 0;
  let cost = 0;
  for (const wheel of WHEEL_ORDER) {
    const wear = diagnosis.wheels[wheel].wear;
    const lost =
      parts.reduce((sum, part) => sum + wear[part], 0) *
      shareSince(last, draft, wheel, replace, diagnosis.since?.km);
    lostMm[wheel] = lost;
    const usable = (draft.tires?.[wheel]?.newDepth ?? ASSUMED.newDepthMm) - legal;
    const share = usable > 0 ? Math.min(1, lost / usable) : 0;
    tires += share;
    cost += share * work.tire[axleOf(wheel)];
  }
  if (Math.max(...Object.values(lostMm)) < LEAST_MM) return null;
  const workOf: Record<Action, number> = {
    fitOnly: 0,
    inflateAndWatch: work.inflate,
    checkAlignment: work.check + work.align,
    align: work.align,
    partsThenAlign: work.inspect + work.parts + work.align,
    balanceOrDampers: work.balance,
  };
  return {
    number: last.number,
    arrivedAt: last.arrivedAt,
    advised,
    reason,
    lostMm,
    tires,
    cost,
    work: workOf[advised],
  };
}

/**
 * How much of what a tire has run came after the earlier visit: all of it for one put on then or later.
 * @param since - km that the diagnosis speaks of; all that the tire has run when left out
 */
function shareSince(
  { draft: then }: EarlierVisit,
  now: VisitDraft,
  wheel: Wheel,
  replaced: readonly Wheel[],
  since: number | undefined,
): number {
  const run = now.tires?.[wheel]?.distance;
  const before = then.tires?.[wheel]?.distance;
  if (run === undefined || before === undefined) return 1;
  if (replaced.includes(wheel) || before > run) return 1;
  const spoken = since === undefined ? run : Math.min(run, since);
  return spoken > 0 ? Math.min(1, (run - before) / spoken) : 0;
}
