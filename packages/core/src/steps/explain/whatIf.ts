import type { CaseFile } from '@keen/contract';
import type { Axle, Rib, Wheel } from '@keen/contract/words';
import { byWheel, resolveCase } from '../../engine/case/resolveCase.ts';
import { tirePaths } from '../../engine/wear/paths.ts';
import { STATE } from '../../engine/wear/state.ts';
import { tireLoss } from '../../engine/wear/tireLoss.ts';

/** Settings to try on a car. */
export interface Setting {
  /** Degrees, top outward positive. */
  camber: Record<Wheel, number>;
  /** Degrees, toe-in positive. */
  totalToe: Record<Axle, number>;
  /** Running pressure over target. */
  pressureRatio: Record<Wheel, number>;
}

/** The setting that the tread says the car has had. */
export function settingOf(posteriorMean: readonly number[]): Setting {
  return {
    camber: byWheel((_, wheel) => posteriorMean[STATE.camber + wheel]!),
    totalToe: { front: posteriorMean[STATE.toe]!, rear: posteriorMean[STATE.toe + 1]! },
    pressureRatio: byWheel((_, wheel) => posteriorMean[STATE.pressure + wheel]!),
  };
}

/**
 * Runs the wear model forward for the car as it is, but for its settings.
 * @param posteriorMean - every unknown of the car, from its answer
 * @returns depth left at each rib, mm, not below zero
 */
export function depthsWith(
  file: CaseFile,
  posteriorMean: readonly number[],
  setting: Setting,
): Record<Wheel, Record<Rib, number>> {
  const resolved = resolveCase(file);
  const paths = tirePaths(resolved);
  const state = Float64Array.from(posteriorMean);
  byWheel((wheel, index) => {
    state[STATE.camber + index] = setting.camber[wheel];
    state[STATE.pressure + index] = setting.pressureRatio[wheel];
  });
  state[STATE.toe] = setting.totalToe.front;
  state[STATE.toe + 1] = setting.totalToe.rear;
  const loss = new Float64Array(3);
  return byWheel((wheel, tire) => {
    tireLoss(state, paths[tire]!, loss);
    const { fromMm } = resolved.tires[wheel].stretch;
    const left = (rib: Rib, at: number) => Math.max(0, fromMm[rib] - loss[at]!);
    return { inner: left('inner', 0), centre: left('centre', 1), outer: left('outer', 2) };
  });
}
