import { RAD_PER_DEG } from '../../engine/units/units.ts';

/**
 * Shims behind the two bolts of an upper arm whose shims move it in toward the car.
 *
 * The joint moves in by (front + rear) / 2 and forward by arm length x (front - rear) / bolt spacing;
 * camber = - atan(in / arm height), caster = - atan(forward / arm height). For cars whose shims push
 * the arm outward, change both signs.
 * @param input.camberChange, input.casterChange - wanted, degrees
 * @param input.armHeight - upper joint above lower, mm; other lengths in mm
 * @returns thickness to add (positive) or take away at each bolt, mm
 */
export function wishboneShims(input: {
  camberChange: number;
  casterChange: number;
  boltSpacing: number;
  armLength: number;
  armHeight: number;
}): { front: number; rear: number } {
  const { camberChange, casterChange, boltSpacing, armLength, armHeight } = input;
  const inward = -armHeight * Math.tan(camberChange * RAD_PER_DEG);
  const forward = -armHeight * Math.tan(casterChange * RAD_PER_DEG);
  const difference = (forward * boltSpacing) / armLength;
  return { front: inward + difference / 2, rear: inward - difference / 2 };
}
