import { RIBS } from '@keen/contract/words';
import type { ResolvedCase, ResolvedTire } from '../case/resolveCase.ts';
import { WHEEL_ORDER } from '../case/wheels.ts';
import { NOISE } from '../wear/constants.ts';
import { STATE } from '../wear/state.ts';
import { tireLoss } from '../wear/tireLoss.ts';
import type { TirePath } from '../wear/tireLoss.ts';

/** What the gauge said about one tire, ready for the likelihood. */
export interface TireReadings {
  /** Mean loss at inner, centre, outer, mm; NaN where no station was read. */
  lossMm: readonly number[];
  /** Stations read at inner, centre, outer. */
  count: readonly number[];
  /** Sum of squares of the readings about their rib's mean, mm2, and its degrees of freedom. */
  scatterMm2: number;
  scatterFreedom: number;
}

/** Sums up the readings of a tire. */
export function tireReadings(tire: ResolvedTire): TireReadings {
  const lossMm: number[] = [];
  const count: number[] = [];
  let scatterMm2 = 0;
  let scatterFreedom = 0;
  for (const rib of RIBS) {
    const depths = tire.readMm[rib];
    const mean = depths.reduce((sum, depth) => sum + depth, 0) / depths.length;
    count.push(depths.length);
    lossMm.push(tire.newDepthMm - mean);
    if (depths.length > 1) {
      scatterMm2 += depths.reduce((sum, depth) => sum + (depth - mean) ** 2, 0);
      scatterFreedom += depths.length - 1;
    }
  }
  return { lossMm, count, scatterMm2, scatterFreedom };
}

/** Log likelihood of one tire's readings given the state. */
export type DepthEvidence = (state: Float64Array, tire: number) => number;

/**
 * Builds the likelihood of the depths. A tire's losses scatter about the model's by a factor for the
 * tire and one for each rib, the new depth is not known exactly, a reading is rounded (which does not
 * average out over stations) and a bouncing tire is uneven round its circumference:
 *
 *     covariance = st^2 m m' + sn^2 1 1' + diag(sr^2 m^2 + s_reading^2)
 *
 * Two rank-one terms on a diagonal, so its inverse and determinant come from the 2 x 2 of Woodbury.
 */
export function createDepthEvidence(
  resolved: ResolvedCase,
  paths: readonly TirePath[],
): DepthEvidence {
  const read = new Float64Array(12);
  const meanVar = new Float64Array(24);
  const scatterLog = new Float64Array(8);
  WHEEL_ORDER.forEach((wheel, tire) => {
    const readings = tireReadings(resolved.tires[wheel]);
    read.set(readings.lossMm, 3 * tire);
    [NOISE.stationHealthy, NOISE.stationBounce].forEach((uneven, bouncing) => {
      const noise = stationNoise(readings, resolved.readingRoundingMm, uneven);
      meanVar.set(noise.meanVar, 3 * (2 * tire + bouncing));
      scatterLog[2 * tire + bouncing] = noise.scatterLog;
    });
  });
  const bounceAt: number = STATE.bounce;
  const loss = new Float64Array(3);
  const tireVar = NOISE.tire ** 2;
  const ribVar = NOISE.rib ** 2;
  const newVar = NOISE.newDepthMm ** 2;
  const tireNewVar = tireVar * newVar;

  return (state, tire) => {
    tireLoss(state, paths[tire]!, loss);
    const noise = 2 * tire + (state[bounceAt + tire]! > 0.5 ? 1 : 0);
    let det = 1;
    let mm = 0;
    let m1 = 0;
    let ones = 0;
    let mr = 0;
    let r1 = 0;
    let rr = 0;
    for (let rib = 0; rib < 3; rib++) {
      const variance = meanVar[3 * noise + rib]!;
      if (variance === 0) continue;
      const m = loss[rib]!;
      const residual = read[3 * tire + rib]! - m;
      const diagonal = ribVar * m * m + variance;
      const weight = 1 / diagonal;
      const weighted = m * weight;
      det *= diagonal;
      mm += m * weighted;
      m1 += weighted;
      ones += weight;
      mr += residual * weighted;
      r1 += residual * weight;
      rr += residual * residual * weight;
    }
    // The 2 x 2 of Woodbury, with the roots of both variances multiplied in.
    const a = 1 + tireVar * mm;
    const d = 1 + newVar * ones;
    const small = a * d - tireNewVar * m1 * m1;
    const square =
      rr - (d * tireVar * mr * mr - 2 * tireNewVar * m1 * mr * r1 + a * newVar * r1 * r1) / small;
    return scatterLog[noise]! - 0.5 * (square + Math.log(det * small));
  };
}

interface StationNoise {
  /** Variance of a rib's mean over its stations, mm2; 0 where no station was read. */
  meanVar: readonly number[];
  /** Log likelihood of the scatter between stations. */
  scatterLog: number;
}

function stationNoise(tire: TireReadings, roundingMm: number, uneven: number): StationNoise {
  const read = tire.lossMm.filter((loss) => !Number.isNaN(loss));
  const meanLoss = read.reduce((sum, loss) => sum + Math.max(0, loss), 0) / (read.length || 1);
  const roundingVar = roundingMm ** 2 / 12;
  const stationVar = NOISE.readingMm ** 2 + (uneven * meanLoss) ** 2;
  const scatterVar = stationVar + roundingVar;
  return {
    meanVar: tire.count.map((count) => (count ? stationVar / count + roundingVar : 0)),
    scatterLog: -0.5 * (tire.scatterMm2 / scatterVar + tire.scatterFreedom * Math.log(scatterVar)),
  };
}
