import type { ResolvedCase } from '../case/resolveCase.ts';
import { axleRates } from '../wear/axleRates.ts';
import { NOISE } from '../wear/constants.ts';
import { FIRST_NUISANCE, NUISANCE_SPREADS, STATE } from '../wear/state.ts';
import { COLUMNS, RATE_AT } from './depthBlocks.ts';

/** How far the losses of a car may be from the formula's, by what is known of its tires. */
export interface DepthScatter {
  /** Prior standard deviation of each nuisance, in the order of {@link COLUMNS}; 0 for one that is known. */
  spreads: Float64Array;
  /** Prior mean of each nuisance, in the same order: what is known of it, or what the shop learned. */
  shifts: Float64Array;
  /** By how much the rate of an axle of another age is wider than the spread that it has anyway. */
  otherAge: number;
  /**
   * Relative variance of a whole tire.
   * @param scaleSquared - this car's scatter against the usual, squared
   * @param isOdd - whether it is odd for reasons that the model does not know
   */
  ofTire(tire: number, scaleSquared: number, isOdd: boolean): number;
  /** Relative variance of a rib. */
  ofRib(scaleSquared: number): number;
}

const TIRE_VAR = NOISE.tire * NOISE.tire;
const RIB_VAR = NOISE.rib * NOISE.rib;
const ODD_TIRE_VAR = NOISE.oddTire * NOISE.oddTire;
/** What two tires of an axle that are known to differ scatter beyond the usual. */
const DIFFERING_TIRE_VAR = NOISE.differingTire * NOISE.differingTire - TIRE_VAR;

/** @param known - nuisances that are not in doubt, by element of the state */
export function depthScatter(
  resolved: ResolvedCase,
  known: ReadonlyMap<number, number>,
): DepthScatter {
  const traits = resolved.constants?.traits;
  const { tiresDiffer } = resolved.history;
  const { means, sd: axleRate } = axleRates(resolved);
  /** What the shop knows of its cars, by element of the state. */
  const learned = new Map(
    traits && [
      [STATE.axleRate, { mean: means[0], sd: axleRate }],
      [STATE.axleRate + 1, { mean: means[1], sd: axleRate }],
      [STATE.crown, traits.crown],
      [STATE.hand, traits.hand],
    ],
  );
  const differing = Float64Array.from(['front', 'front', 'rear', 'rear'] as const, (axle) =>
    tiresDiffer.includes(axle) ? DIFFERING_TIRE_VAR : 0,
  );
  return {
    spreads: Float64Array.from(COLUMNS, (column, at) => {
      const element = FIRST_NUISANCE + column;
      if (known.has(element)) return 0;
      if (RATE_AT.includes(at)) return axleRate;
      return learned.get(element)?.sd ?? NUISANCE_SPREADS[column]!;
    }),
    shifts: Float64Array.from(COLUMNS, (column) => {
      const element = FIRST_NUISANCE + column;
      return known.get(element) ?? learned.get(element)?.mean ?? 0;
    }),
    otherAge: NOISE.otherAge / axleRate,
    ofTire: (tire, scaleSquared, isOdd) =>
      TIRE_VAR * scaleSquared + differing[tire]! + (isOdd ? ODD_TIRE_VAR : 0),
    ofRib: (scaleSquared) => RIB_VAR * scaleSquared,
  };
}
