import type { Drive } from '@keen/contract/words';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { RIBS } from '@keen/contract/words';
import { WHEEL_ORDER } from '../case/wheels.ts';
import { DRIVING_SLIP } from './constants.ts';
import { tireHistory } from './history.ts';
import type { TirePath } from './tireLoss.ts';

const KM_PER_THOUSAND_KM = 1000;

/** The paths of the four tires, in the engine's wheel order. */
export function tirePaths(resolved: ResolvedCase): TirePath[] {
  return WHEEL_ORDER.map((wheel, tire) => {
    const history = tireHistory(resolved, wheel);
    const { newDepthMm, stretch } = resolved.tires[wheel];
    const { fromMm } = stretch;
    return tirePath(
      tire,
      history.map((stay) => WHEEL_ORDER.indexOf(stay.wheel)),
      history.map((stay) => stay.km / KM_PER_THOUSAND_KM),
      resolved.drive,
      newDepthMm,
      RIBS.map((rib) => newDepthMm - fromMm[rib]),
    );
  });
}

/**
 * Lays out where a tire has been for the forward model.
 * @param tire - the wheel it is mounted at now, 0 to 3
 * @param positions - the wheels it has been at, from the first to the present one
 * @param thousandKm - thousands of km at each
 * @param newDepthMm - depth when new; 0 when the path is only to give a rate
 * @param lostBefore - mm that inner, centre and outer had lost when the path began
 */
export function tirePath(
  tire: number,
  positions: readonly number[],
  thousandKm: readonly number[],
  drive: Drive,
  newDepthMm = 0,
  lostBefore: readonly number[] = [0, 0, 0],
): TirePath {
  return {
    tire,
    positions: Int32Array.from(positions),
    thousandKm: Float64Array.from(thousandKm),
    drivingSlips: Float64Array.from(
      positions,
      (position) => DRIVING_SLIP[drive][position < 2 ? 'front' : 'rear'],
    ),
    newDepthMm,
    lostBefore: Float64Array.from(lostBefore),
  };
}
