import type { VisitDraft } from '@keen/contract';
import type { TirePair, Wheel } from '@keen/contract/words';
import { TIRE_PAIRS } from '@keen/contract/words';
import { WHEELS_OF_AXLE } from '../engine/case/wheels.ts';

/** Tires made this much apart are of different age, weeks. */
const SAME_AGE_WEEKS = 26;
const WEEKS_A_YEAR = 52;

/**
 * Pairs of tires that are known to differ in line, season, depth when new or age: said so, or by what
 * their sidewalls say. The front pair differs from the rear where any of the front differs from any of
 * the rear.
 */
export function tiresDiffer(draft: VisitDraft): TirePair[] {
  const said = draft.visit?.tiresDiffer ?? [];
  const differ = (left: readonly Wheel[], right: readonly Wheel[]) =>
    left.some((a) => right.some((b) => differByMark(draft, a, b)));
  const found: Record<TirePair, boolean> = {
    front: differ(['lf'], ['rf']),
    rear: differ(['lr'], ['rr']),
    axles: differ(WHEELS_OF_AXLE.front, WHEELS_OF_AXLE.rear),
  };
  return TIRE_PAIRS.filter((pair) => said.includes(pair) || found[pair]);
}

function differByMark(draft: VisitDraft, a: Wheel, b: Wheel): boolean {
  const [one = {}, other = {}] = [draft.visit?.tires?.[a], draft.visit?.tires?.[b]];
  const [depthA, depthB] = [draft.tires?.[a]?.newDepth, draft.tires?.[b]?.newDepth];
  const unlike = <T>(left: T | undefined, right: T | undefined, same: (l: T, r: T) => boolean) =>
    left !== undefined && right !== undefined && !same(left, right);
  return (
    unlike(one.line, other.line, (l, r) => l.toLowerCase() === r.toLowerCase()) ||
    unlike(one.season, other.season, (l, r) => l === r) ||
    unlike(depthA, depthB, (l, r) => Math.abs(l - r) < 0.05) ||
    unlike(one.dateCode, other.dateCode, (l, r) => Math.abs(weeks(l) - weeks(r)) <= SAME_AGE_WEEKS)
  );
}

/** @param code - week and year, such as 2319 */
function weeks(code: string): number {
  return Number(code.slice(0, 2)) + WEEKS_A_YEAR * Number(code.slice(2));
}
