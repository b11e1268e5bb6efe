import { log } from '../engine/math/elementary.ts';
import type { Interval } from './interval.ts';
import type { Said } from './saidAndFound.ts';
import { shareOf } from './share.ts';
import type { Share } from './share.ts';

/** Chances that were said within some bounds, and how many of them came true. */
export interface Band {
  from: number;
  to: number;
  /** Mean of the chances. */
  said: number;
  found: Share;
  /** What came true does not fit what was said, by a 99 % interval as there are several bands. */
  isOff: boolean;
}

/** How chances that were said held. */
export interface Reliability {
  cars: number;
  chances: number;
  /** Fewer cars than this are too few to tell. */
  isTooFew: boolean;
  /** From the lowest chances to the highest; bands without any are left out. */
  bands: Band[];
  /** How many were to be expected by what was said, and how many there were. */
  expected: number;
  found: number;
  /** Found less expected, over all; by cars, as angles of one car hang together. */
  excess: Interval;
  /** Mean log loss of a chance, and of one who says every car the same part. */
  logLoss: number;
  baseLogLoss: number;
  /** How much less is lost than by that; positive is better. */
  gain: Interval;
}

const EDGES = [0, 0.05, 0.2, 0.4, 0.6, 0.8, 1];
/** So many cars before anything is claimed. */
export const LEAST_CARS = 30;
const Z = 1.959964;
/** A chance of nought that came true would lose without end. */
const SMALLEST = 1e-4;

/**
 * How well chances held, from cars that were measured after they were said.
 * @param cars - the chances of each car
 * Source: Brocker and Smith 2007, Weather and Forecasting 22 (reliability diagrams); log loss as the mean of
 * minus the logarithm of the chance of what happened.
 */
export function reliability(cars: readonly (readonly Said[])[]): Reliability {
  const told = cars.filter((car) => car.length > 0);
  const all = told.flat();
  const found = all.filter(({ isSo }) => isSo).length;
  const rate = all.length > 0 ? found / all.length : 0;
  const loss = (chance: number, isSo: boolean) =>
    -log(Math.max(SMALLEST, isSo ? chance : 1 - chance));
  const lossOf = (car: readonly Said[]) => sum(car.map((one) => loss(one.chance, one.isSo)));
  const baseOf = (car: readonly Said[]) => sum(car.map((one) => loss(rate, one.isSo)));
  const count = Math.max(1, all.length);
  return {
    cars: told.length,
    chances: all.length,
    isTooFew: told.length < LEAST_CARS,
    bands: EDGES.slice(1).flatMap((to, i) => {
      const from = EDGES[i]!;
      const inside = all.filter(({ chance }) => chance >= from && (chance < to || to === 1));
      if (inside.length === 0) return [];
      const said = sum(inside.map(({ chance }) => chance)) / inside.length;
      const count = inside.filter(({ isSo }) => isSo).length;
      const { low, high } = shareOf(count, inside.length, 'strict');
      const found = shareOf(count, inside.length);
      return [{ from, to, said, found, isOff: said < low || said > high }];
    }),
    expected: sum(all.map(({ chance }) => chance)),
    found,
    excess: overCars(
      told.map((car) => sum(car.map(({ chance, isSo }) => Number(isSo) - chance))),
      1,
    ),
    logLoss: sum(told.map(lossOf)) / count,
    baseLogLoss: sum(told.map(baseOf)) / count,
    gain: overCars(
      told.map((car) => baseOf(car) - lossOf(car)),
      count,
    ),
  };
}

/** The sum over cars, as a part of something, with what chance makes of it from car to car. */
function overCars(values: readonly number[], per: number): Interval {
  const total = sum(values);
  const mean = total / Math.max(1, values.length);
  const spread = sum(values.map((value) => (value - mean) ** 2));
  const n = values.length;
  const half = n > 1 ? Z * Math.sqrt((n * spread) / (n - 1)) : 0;
  return { mean: total / per, low: (total - half) / per, high: (total + half) / per };
}

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}
