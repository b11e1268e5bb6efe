import type { ResolvedCase } from '../case/resolveCase.ts';
import { WHEEL_ORDER } from '../case/wheels.ts';
import { tireHistory } from './history.ts';
import type { TirePath } from './tireLoss.ts';

const KM_PER_MEGAMETRE = 1000;

/** The paths of the four tires, in the engine's wheel order. */
export function tirePaths(resolved: ResolvedCase): TirePath[] {
  return WHEEL_ORDER.map((wheel, tire) => {
    const history = tireHistory(resolved, wheel);
    return {
      tire,
      positions: history.map((stretch) => WHEEL_ORDER.indexOf(stretch.wheel)),
      megametres: history.map((stretch) => stretch.km / KM_PER_MEGAMETRE),
    };
  });
}
