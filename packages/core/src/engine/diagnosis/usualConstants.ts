import type { ShopConstants } from '@keen/contract';
import { SPREAD } from '../wear/state.ts';
import { FAULT_RATE } from './faultRates.ts';

/** What stands in for a shop's own constants until they are learned: {@link SPREAD} and {@link FAULT_RATE}. */
export const USUAL_CONSTANTS: ShopConstants = {
  traits: {
    wearRate: { mean: 0, sd: SPREAD.logWearRate },
    // Half the difference of two axles that scatter alike.
    frontToRear: { mean: 0, sd: SPREAD.axleRate / Math.SQRT2 },
    crown: { mean: 0, sd: SPREAD.crown },
    hand: { mean: 0, sd: SPREAD.hand },
  },
  faultRates: { ...FAULT_RATE },
};
