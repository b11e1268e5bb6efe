import type { Drive } from '@keen/contract/words';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { WHEEL_ORDER } from '../case/wheels.ts';
import { DRIVING_SLIP } from './constants.ts';
import { tireHistory } from './history.ts';
import type { TirePath } from './tireLoss.ts';

const KM_PER_MEGAMETRE = 1000;

/** The paths of the four tires, in the engine's wheel order. */
export function tirePaths(resolved: ResolvedCase): TirePath[] {
  return WHEEL_ORDER.map((wheel, tire) => {
    const history = tireHistory(resolved, wheel);
    return tirePath(
      tire,
      history.map((stretch) => WHEEL_ORDER.indexOf(stretch.wheel)),
      history.map((stretch) => stretch.km / KM_PER_MEGAMETRE),
      resolved.drive,
    );
  });
}

/**
 * Lays out where a tire has been for the forward model.
 * @param tire - the wheel it is mounted at now, 0 to 3
 * @param positions - the wheels it has been at, from the first to the present one
 * @param megametres - thousands of km at each
 */
export function tirePath(
  tire: number,
  positions: readonly number[],
  megametres: readonly number[],
  drive: Drive,
): TirePath {
  return {
    tire,
    positions: Int32Array.from(positions),
    megametres: Float64Array.from(megametres),
    drivingSlips: Float64Array.from(
      positions,
      (position) => DRIVING_SLIP[drive][position < 2 ? 'front' : 'rear'],
    ),
  };
}
