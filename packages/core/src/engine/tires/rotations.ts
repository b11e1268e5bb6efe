import type { Drive, RotationPattern, Wheel } from '@keen/contract/words';

type Moves = Partial<Record<Wheel, Wheel>>;

/** Where each tire goes: the position it leaves to the one it takes. (Common practice, no source.) */
export const ROTATION_MOVES: Record<RotationPattern, Moves> = {
  frontToRear: { lf: 'lr', rf: 'rr', lr: 'lf', rr: 'rf' },
  forwardCross: { lf: 'lr', rf: 'rr', lr: 'rf', rr: 'lf' },
  rearwardCross: { lf: 'rr', rf: 'lr', lr: 'lf', rr: 'rf' },
  crossed: { lf: 'rr', rf: 'lr', lr: 'rf', rr: 'lf' },
  sideToSide: { lf: 'rf', rf: 'lf', lr: 'rr', rr: 'lr' },
};

/**
 * Patterns that a fitment allows, the usual one for the drive first. (Common practice, no source.)
 * @example rotationPatterns({ drive: 'fwd', isStaggered: false, isDirectional: true }) // ['frontToRear']
 */
export function rotationPatterns(fitment: {
  drive: Drive;
  isStaggered: boolean;
  isDirectional: boolean;
}): RotationPattern[] {
  const { drive, isStaggered, isDirectional } = fitment;
  if (isStaggered && isDirectional) return [];
  if (isStaggered) return ['sideToSide'];
  if (isDirectional) return ['frontToRear'];
  const first: RotationPattern =
    drive === 'fwd' ? 'forwardCross' : drive === 'rwd' ? 'rearwardCross' : 'crossed';
  const all: RotationPattern[] = ['forwardCross', 'rearwardCross', 'crossed', 'frontToRear'];
  return [first, ...all.filter((pattern) => pattern !== first)];
}
