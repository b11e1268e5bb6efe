import type { CaseFile } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';
import { byWheel, resolveCase } from '../../engine/case/resolveCase.ts';
import { WHEEL_ORDER } from '../../engine/case/wheels.ts';
import { tirePaths } from '../../engine/wear/paths.ts';
import { healthyState, STATE } from '../../engine/wear/state.ts';
import { tireLoss } from '../../engine/wear/tireLoss.ts';
import type { Angles } from './angleLedger.ts';

/** How much of the uneven wear the measured angles explain, and what they leave over. */
export interface ExplainedWear {
  /** Lost beyond what good settings would have taken, summed over the worst rib of each tire, mm. */
  excess: number;
  /** Of it what today's angles would have taken, mm. */
  byAngles: number;
  /** What is left over and to what it points, largest first, mm. */
  leftOver: { cause: 'play' | 'pressure' | 'bounce' | 'cornering' | 'past'; mm: number }[];
}

/** Less is not worth a word, mm: of a cause, and of all four worst ribs together, a tenth each. */
const LEAST_MM = 0.15;
const LEAST_EXCESS_MM = 0.4;

/**
 * Runs the wear model three times over the car's life: with good settings, with the angles as they were
 * measured today, and as the tread says it has been. The first to the second is what the angles
 * explain; what else the tread says is put in by itself; the rest is angles that were other than today's
 * (before a kerb, a part, a rotation or an alignment).
 * @param posteriorMean - every unknown of the car, from its answer
 * @returns null when no wheel has both its camber and its axle's toe, or nothing was lost beyond
 */
export function explainedWear(
  file: CaseFile,
  posteriorMean: readonly number[],
  angles: Angles,
): ExplainedWear | null {
  const resolved = resolveCase(file);
  const { camber, totalToe } = resolved.tolerances;
  const middle = ([low, high]: readonly [number, number]) => (low + high) / 2;
  const healthy = healthyState(
    [middle(camber.front), middle(camber.rear)],
    [middle(totalToe.front), middle(totalToe.rear)],
  );
  const settings = [
    ...Array.from({ length: STATE.logWearRate }, (_, element) => element),
    STATE.cornering,
    STATE.looseness,
    STATE.looseness + 1,
    ...[0, 1, 2, 3].map((tire) => STATE.bounce + tire),
  ];
  const was = Float64Array.from(posteriorMean);
  const good = Float64Array.from(posteriorMean);
  for (const element of settings) good[element] = healthy[element]!;
  const measured = Float64Array.from(good);
  let hasAngles = false;
  WHEEL_ORDER.forEach((wheel, index) => {
    const value = angles[wheel]?.camber;
    if (value === undefined) return;
    measured[STATE.camber + index] = value;
    hasAngles = true;
  });
  for (const [axle, [left, right]] of [
    ['lf', 'rf'],
    ['lr', 'rr'],
  ].entries()) {
    const [a, b] = [angles[left as Wheel]?.toe, angles[right as Wheel]?.toe];
    if (a === undefined || b === undefined) continue;
    measured[STATE.toe + axle] = a + b;
    hasAngles = true;
  }
  if (!hasAngles) return null;

  const paths = tirePaths(resolved);
  const losses = new Float64Array(3);
  const worst = byWheel((_, tire) => {
    tireLoss(was, paths[tire]!, losses);
    return losses.indexOf(Math.max(...losses));
  });
  const lost = (state: Float64Array) =>
    WHEEL_ORDER.reduce((sum, wheel, tire) => {
      tireLoss(state, paths[tire]!, losses);
      return sum + losses[worst[wheel]]!;
    }, 0);
  const base = lost(good);
  const excess = lost(was) - base;
  if (excess < LEAST_EXCESS_MM) return null;
  const alone = (elements: readonly number[]) => {
    const state = Float64Array.from(good);
    for (const element of elements) state[element] = was[element]!;
    return lost(state) - base;
  };
  const byAngles = lost(measured) - base;
  const four = (at: number) => [0, 1, 2, 3].map((tire) => at + tire);
  const other = [
    { cause: 'play' as const, mm: alone([STATE.looseness, STATE.looseness + 1]) },
    { cause: 'pressure' as const, mm: alone(four(STATE.pressure)) },
    { cause: 'bounce' as const, mm: alone(four(STATE.bounce)) },
    { cause: 'cornering' as const, mm: alone([STATE.cornering]) },
  ];
  const rest = excess - byAngles - other.reduce((sum, { mm }) => sum + mm, 0);
  return {
    excess,
    byAngles,
    leftOver: [...other, { cause: 'past' as const, mm: rest }]
      .filter(({ mm }) => mm >= LEAST_MM)
      .toSorted((a, b) => b.mm - a.mm),
  };
}
