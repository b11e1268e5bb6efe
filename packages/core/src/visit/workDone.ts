import type { VisitDraft } from '@keen/contract';
import type { Action, PutRight, Wheel, Work } from '@keen/contract/words';

/** What of a visit says what was done at it. */
export interface Decided {
  draft: VisitDraft;
  decision: {
    action: Action;
    answer: 'yes' | 'no' | 'open';
    replace: readonly Wheel[];
  } | null;
}

const WORK_OF_ACTION: Partial<Record<Action, Work>> = {
  align: 'aligned',
  partsThenAlign: 'partsThenAligned',
  balanceOrDampers: 'balancedOrDampers',
  inflateAndWatch: 'inflated',
};

/** What each of them puts right; whatever else is done, pressures are set. */
const PUTS_RIGHT: Record<Work, readonly PutRight[]> = {
  aligned: ['angles', 'pressures'],
  partsThenAligned: ['angles', 'parts', 'pressures'],
  balancedOrDampers: ['balance', 'pressures'],
  inflated: ['pressures'],
};

/** The work that a visit's decision and its angles say was done; null where nothing was. */
export function workDone(visit: Decided): Work | null {
  const { decision, draft } = visit;
  const accepted = decision?.answer === 'yes' ? WORK_OF_ACTION[decision.action] : undefined;
  if (accepted === 'partsThenAligned') return accepted;
  // Angles that were set say more than what was agreed.
  if (draft.visit?.setRight?.before) return 'aligned';
  return accepted ?? null;
}

/** Tires whose replacement was agreed at a visit. */
export function tiresReplaced({ decision }: Pick<Decided, 'decision'>): Wheel[] {
  return decision?.answer === 'yes' ? [...decision.replace] : [];
}

/** What was put right at a visit, so that the tires have worn differently since. */
export function putRightAt(visit: Decided): readonly PutRight[] {
  const work = workDone(visit);
  return work === null ? [] : PUTS_RIGHT[work];
}
