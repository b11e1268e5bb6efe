import type { Drive } from '@keen/contract/words';
import { DEPTH_RATE } from '../engine/case/treadFacts.ts';
import { tirePath } from '../engine/wear/paths.ts';
import { FIRST_NUISANCE, STATE, STATE_SIZE } from '../engine/wear/state.ts';
import { tireLoss } from '../engine/wear/tireLoss.ts';
import type { LabPhysics } from './wearOn.ts';

/** No tread wears slower than this part of what it would at half its depth. */
const SLOWEST = 0.2;

/**
 * The engine's own formula as a physics.
 * @param traits - a state whose nuisances are those of one car; the usual car's when left out
 */
export function formulaPhysics(drive: Drive, traits?: ArrayLike<number>): LabPhysics {
  const out = new Float64Array(3);
  const whole = new Float64Array(STATE_SIZE);
  const depthRate = DEPTH_RATE + (traits?.[STATE.depthRate] ?? 0);
  return {
    rates(state, tire, position) {
      for (let at = 0; at < STATE_SIZE; at++) {
        whole[at] = at < FIRST_NUISANCE ? state[at]! : (traits?.[at] ?? 0);
      }
      tireLoss(whole, tirePath(tire, [position], [1], drive), out);
      return [out[0]!, out[1]!, out[2]!];
    },
    depthFactor: (lostPart) => Math.max(SLOWEST, 1 + depthRate * (0.5 - lostPart)),
  };
}
