import type { VisitDraft } from '@keen/contract';
import type { RotationPattern, Wheel } from '@keen/contract/words';
import { WHEELS } from '@keen/contract/words';
import { isStaggered } from '../mayRotate.ts';
import { ROTATION_MOVES, rotationPatterns } from '../../engine/tires/rotations.ts';

/** Where each tire goes next. */
export interface RotationPlan {
  pattern: RotationPattern;
  /** From the position that a tire leaves to the one it takes. */
  moves: Record<Wheel, Wheel>;
}

/**
 * The usual change of places for the drive and the fitment: different sizes keep their axle, tires that
 * roll one way their side; what keeps both, or was said to stay where it is, has no plan.
 */
export function rotationPlan(draft: VisitDraft): RotationPlan | null {
  const staggered = isStaggered(draft);
  if (!staggered && draft.vehicle?.rotatable === false) return null;
  const [pattern] = rotationPatterns({
    drive: draft.vehicle?.drive ?? 'fwd',
    isStaggered: staggered,
    isDirectional: draft.visit?.car?.directional === true,
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
