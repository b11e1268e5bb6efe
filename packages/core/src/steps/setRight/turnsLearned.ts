import type { Learned, VisitDraft } from '@keen/contract';
import { ADJUSTERS, WHEELS } from '@keen/contract/words';
import type { AngleKind, Axle, SetStep, Wheel } from '@keen/contract/words';
import { axleOf } from '../../engine/case/wheels.ts';
import { angleSd } from '../measure/readings.ts';
import { learnTurn } from './learnedTurn.ts';

/**
 * What the hand learned of this car's adjusters in this visit, over both sides of an axle, for later ones:
 * degrees a turn without a sign, since the first turn at a wheel may go either way. Only what moved the
 * angle more than its readings scatter.
 */
export function turnsLearned(draft: VisitDraft): Learned[] {
  const made = Object.entries(draft.visit?.setRight?.turns ?? {}).flatMap(([key, turns]) => {
    const place = placeOf(key as SetStep);
    return place ? [{ ...place, turns }] : [];
  });
  const found = made.flatMap(({ kind, wheel, axle, turns }) =>
    ADJUSTERS.flatMap((adjuster): Learned[] => {
      const own = turns.filter((turn) => turn.adjuster === adjuster);
      const sd = (wheel ? 1 : Math.SQRT2) * angleSd(draft, wheel ?? firstOf(axle), kind);
      const learned = learnTurn(own, sd);
      const last = own.at(-1);
      if (!learned?.isPlain || !last) return [];
      return [
        { adjuster, kind, axle, perUnit: Math.abs(learned.perUnit), sd: learned.sd, at: last.at },
      ];
    }),
  );
  return pooled(found);
}

/** What is known of an adjuster from this visit and those before it: what is newer replaces what is older. */
export function savedTurns(draft: VisitDraft): Learned[] {
  const now = turnsLearned(draft);
  const before = (draft.visit?.car?.learned ?? []).filter(
    (one) => !now.some((newer) => isSame(newer, one)),
  );
  return [...now, ...before];
}

/**
 * One figure for each adjuster, angle and axle, weighted by how sure each is; where they differ by more
 * than their doubts, as two cars of one sheet do, the doubt is theirs.
 */
export function pooled(found: readonly Learned[]): Learned[] {
  const groups: Learned[][] = [];
  for (const one of found) {
    const group = groups.find(([first]) => first && isSame(first, one));
    if (group) group.push(one);
    else groups.push([one]);
  }
  return groups.map((group) => {
    const weights = group.map(({ sd }) => 1 / Math.max(sd, LEAST_SD) ** 2);
    const sum = weights.reduce((total, weight) => total + weight, 0);
    const perUnit = group.reduce((total, one, i) => total + weights[i]! * one.perUnit, 0) / sum;
    const between =
      group.length > 1
        ? group.reduce((total, one, i) => total + weights[i]! * (one.perUnit - perUnit) ** 2, 0) /
          sum
        : 0;
    const at = group
      .map((one) => one.at)
      .toSorted()
      .at(-1)!;
    return { ...group[0]!, perUnit, sd: Math.sqrt(Math.max(1 / sum, between)), at };
  });
}

/** No reading is surer than this, degrees. */
const LEAST_SD = 0.005;

function isSame(a: Learned, b: Learned): boolean {
  return a.adjuster === b.adjuster && a.kind === b.kind && a.axle === b.axle;
}

function firstOf(axle: Axle): Wheel {
  return axle === 'front' ? 'lf' : 'lr';
}

/** Where a step is set; null for one that sets no angle. */
function placeOf(key: SetStep): { kind: AngleKind; wheel: Wheel | null; axle: Axle } | null {
  const [kind, where = ''] = key.split('-') as [string, string?];
  if (kind !== 'camber' && kind !== 'caster' && kind !== 'toe') return null;
  if (where === 'front' || where === 'rear') return { kind, wheel: null, axle: where };
  const wheel = WHEELS.find((one) => one === where);
  return wheel ? { kind, wheel, axle: axleOf(wheel) } : null;
}
