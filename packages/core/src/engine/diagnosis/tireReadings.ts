import { RIBS } from '@keen/contract/words';
import type { ResolvedTire } from '../case/resolveCase.ts';
import type { ReadingError } from '../case/treadFacts.ts';
import { exp, log } from '../math/elementary.ts';
import { NOISE } from '../wear/constants.ts';

/** What the gauge said about one tire, ready for the likelihood. */
export interface TireReadings {
  /** Mean loss at inner, centre, outer over the stretch that counts, mm; NaN where no station was read. */
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
    lossMm.push(tire.stretch.fromMm[rib] - mean);
    if (depths.length > 1) {
      scatterMm2 += depths.reduce((sum, depth) => sum + (depth - mean) * (depth - mean), 0);
      scatterFreedom += depths.length - 1;
    }
  }
  return { lossMm, count, scatterMm2, scatterFreedom };
}

/**
 * Variance of a rib's mean reading, mm2: the gauge, the unevenness round the tire and the rounding,
 * which does not average out over stations. It is that of a healthy tire whether the tire bounces or
 * not: a rib that does not fit is no evidence of waves, only a difference between places is.
 * @returns 0 where no station was read
 */
export function readingVariances(tire: TireReadings, reading: ReadingError): number[] {
  const station = stationVariance(tire, reading, NOISE.stationHealthy);
  const rounding = reading.roundingMm ** 2 / 12;
  return tire.count.map((count) => (count > 0 ? station / count + rounding : 0));
}

/** Nodes and weights of Gauss and Hermite for a standard normal, five points (Abramowitz and Stegun 25.4.46). */
const NORMAL_NODES = [-2.8569700138728, -1.3556261799742, 0, 1.3556261799742, 2.8569700138728];
const NORMAL_WEIGHTS = [
  0.011257411327721, 0.22207592200561, 0.53333333333333, 0.22207592200561, 0.011257411327721,
];

/**
 * Log likelihood of the scatter between stations for a tire that has or has not been bouncing: a sum of
 * squares of normals whose unevenness varies from tire to tire.
 */
export function scatterLog(tire: TireReadings, reading: ReadingError, bouncing: boolean): number {
  if (tire.scatterFreedom === 0) return 0;
  const uneven = bouncing ? NOISE.stationBounce : NOISE.stationHealthy;
  let sum = 0;
  NORMAL_NODES.forEach((node, i) => {
    const variance =
      stationVariance(tire, reading, uneven * exp(NOISE.stationSpread * node)) +
      reading.roundingMm ** 2 / 12;
    sum +=
      NORMAL_WEIGHTS[i]! *
      exp(-0.5 * (tire.scatterMm2 / variance + tire.scatterFreedom * log(variance)));
  });
  return log(sum);
}

function stationVariance(tire: TireReadings, { sdMm }: ReadingError, uneven: number): number {
  const read = tire.lossMm.filter((loss) => !Number.isNaN(loss));
  const meanLoss = read.reduce((sum, loss) => sum + Math.max(0, loss), 0) / (read.length || 1);
  return sdMm * sdMm + uneven * meanLoss * (uneven * meanLoss);
}
