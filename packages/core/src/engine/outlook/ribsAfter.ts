import type { Action } from '@keen/contract/words';
import { ACTIONS } from '@keen/contract/words';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { stateAfter } from './courses.ts';
import type { PossibleCar } from './courses.ts';
import { ribCurves } from './depthCurves.ts';
import type { RibCurves } from './depthCurves.ts';
import { createTiresAhead } from './ribWear.ts';
import type { Wearing } from './ribWear.ts';

/** Each rib of the tires on the car and of new ones after each course of work, on a line that goes on below 0. */
export type RibsAfter = Record<Action, { worn: RibCurves | null; fresh: RibCurves }>;

const STEP_KM = 10_000;

/**
 * Forecasts each rib after each course, to be held against later readings.
 * @param cars - draws from the posterior of the case
 * @param dampersFirst - dampers and balance come before any alignment of this car
 */
export function ribsAfter(
  resolved: ResolvedCase,
  cars: readonly PossibleCar[],
  dampersFirst = false,
): RibsAfter {
  const { newDepths, tiresIf } = createTiresAhead(resolved, cars);
  const ahead = (tires: readonly Wearing[]) =>
    ribCurves(tires, newDepths, STEP_KM, Number.NEGATIVE_INFINITY);
  const after = (course: Action) => {
    const tires = tiresIf((car) => stateAfter(course, car, resolved, dampersFirst));
    const worn = tires.worn();
    return { worn: worn && ahead(worn), fresh: ahead(tires.fresh) };
  };
  return Object.fromEntries(ACTIONS.map((course) => [course, after(course)])) as RibsAfter;
}
