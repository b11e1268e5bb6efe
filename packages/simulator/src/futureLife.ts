import type { CaseFile } from '@keen/contract';
import { createRandom, NOISE, resolveCase, tireLoss, WHEEL_ORDER } from '@keen/core/engine';
import type { TirePath } from '@keen/core/engine';

/** Driving slip, front and rear, written out again from the model's page, degrees. */
const SLIPS = { fwd: [0.34, 0.26], rwd: [0.31, 0.32], awd: [0.325, 0.29] } as const;

/**
 * How far a new set really goes on a simulated car as it is: its own state, and what the new tires bring
 * that nobody knows. Written apart from the outlook, so that the two can be held against each other.
 * @param state - the true state of the car
 * @returns km until the first rib is at the legal limit
 */
export function futureLife(file: CaseFile, state: Float64Array, seed: number): number {
  const resolved = resolveCase(file);
  const random = createRandom(seed);
  const rotates = resolved.rotatable && resolved.rotations.length > 0;
  const loss = new Float64Array(3);
  const lives = WHEEL_ORDER.flatMap((wheel, tire) => {
    const places = rotates ? [tire % 2, (tire % 2) + 2] : [tire];
    const perMegametre = [0, 0, 0];
    for (const place of places) {
      const path: TirePath = {
        tire,
        positions: Int32Array.of(place),
        megametres: Float64Array.of(1),
        drivingSlips: Float64Array.of(SLIPS[resolved.drive][place < 2 ? 0 : 1]),
      };
      tireLoss(state, path, loss);
      loss.forEach((mm, rib) => (perMegametre[rib]! += mm / places.length));
    }
    const spare = resolved.tires[wheel].newDepthMm - resolved.limitsMm.legal;
    const own = NOISE.tire * random.normal();
    return perMegametre.map(
      (mm) => (1000 * spare) / (mm * Math.exp(own + NOISE.rib * random.normal())),
    );
  });
  return Math.min(...lives);
}
