import type { ResolvedCase } from '../case/resolveCase.ts';
import { NOISE } from './constants.ts';
import { SPREAD } from './state.ts';

/** What is known of the axles' rates of wear before the tread is read, relative to the car's. */
export interface AxleRates {
  /** Mean, front and rear. */
  means: readonly [number, number];
  /** Standard deviation of what the axle makes of it: weight, drive. */
  ownSd: number;
  /** The same with what the tires that are on it make of it. */
  sd: number;
}

/** The axles' rates by what the case says of its tires, and by what the shop has learned of its cars. */
export function axleRates({ history: { tiresDiffer }, constants }: ResolvedCase): AxleRates {
  const learned = constants?.traits.frontToRear;
  const mean = learned?.mean ?? 0;
  // Half the difference of two axles scatters less than either by the root of two.
  const ownSd = learned ? learned.sd * Math.SQRT2 : SPREAD.axleRate;
  return {
    means: [mean, -mean],
    ownSd,
    sd: tiresDiffer.includes('axles') ? NOISE.differingAxle : ownSd,
  };
}
