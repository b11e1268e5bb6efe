import type { VisitDraft } from '@keen/contract';
import type { RotationPattern, Wheel } from '@keen/contract/words';
import { WHEELS } from '@keen/contract/words';
import { isStaggered } from './fitment.ts';
import { ROTATION_MOVES, rotationPatterns } from './rotations.ts';

/** Where each tire goes next. */
export interface RotationPlan {
  pattern: RotationPattern;
  /** From the position that a tire leaves to the one it takes. */
  moves: Record<Wheel, Wheel>;
}

/**
 * The usual change of places for the drive and the fitment: different sizes keep their axle; tires that
 * were said to stay where they are have no plan.
 */
export function rotationPlan(draft: VisitDraft): RotationPlan | null {
  const staggered = isStaggered(draft);
  if (!staggered && draft.vehicle?.rotatable === false) return null;
  const [pattern] = rotationPatterns({
    drive: draft.vehicle?.drive ?? 'fwd',
    isStaggered: staggered,
    isDirectional: false,
  });
  if (!pattern) return null;
  const moves = ROTATION_MOVES[pattern];
  return {
    pattern,
    moves: Object.fromEntries(WHEELS.map((wheel) => [wheel, moves[wheel] ?? wheel])) as Record<
      Wheel,
      Wheel
    >,
  };
}
