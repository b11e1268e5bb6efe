import type { Rib, Wheel } from '@keen/contract/words';
import { byWheel } from '../case/resolveCase.ts';
import { WHEEL_ORDER } from '../case/wheels.ts';
import { depthsAlong, RIB_COUNT } from './ribWear.ts';
import type { Wearing } from './ribWear.ts';

/** A quantity with its 80 % interval. */
export interface Span {
  low: number;
  median: number;
  high: number;
}

/** Depth of the lowest rib against distance, with an 80 % band. */
export interface DepthCurve {
  /** km from today. */
  km: number[];
  mm: Span[];
}

/** Depth of each rib against distance; null for a rib that was not read. */
export type RibCurves = Record<Wheel, Record<Rib, DepthCurve | null>>;

/** The 80 % interval. */
const LOW = 0.1;
export const HIGH = 0.9;
const CURVE_STEPS = 24;
const RIB_STEPS = 4;

/** Depth of the lowest rib at even steps of distance, as quantiles over the possible cars. */
export function depthCurve(
  tires: readonly Wearing[],
  newDepths: Float64Array,
  furthestKm: number,
): DepthCurve {
  const stepKm = furthestKm / CURVE_STEPS;
  const along = new Float64Array(CURVE_STEPS + 1);
  const lowest = Array.from(along, () => new Float64Array(tires.length).fill(Infinity));
  tires.forEach((tire, car) => {
    for (let rib = 0; rib < RIB_COUNT; rib++) {
      if (!Number.isFinite(tire.depths[rib])) continue;
      depthsAlong(tire, rib, newDepths[rib]!, stepKm, along);
      lowest.forEach((least, at) => {
        least[car] = Math.min(least[car]!, Math.max(0, along[at]!));
      });
    }
  });
  return { km: lowest.map((_, at) => at * stepKm), mm: lowest.map(span) };
}

/**
 * Depth of each rib by itself; it goes down in a line that is nearly straight, so few points will do.
 * @param leastMm - nothing is less than this, mm
 */
export function ribCurves(
  tires: readonly Wearing[],
  newDepths: Float64Array,
  stepKm: number,
  leastMm: number,
): RibCurves {
  const along = new Float64Array(RIB_STEPS + 1);
  const curveAt = (rib: number): DepthCurve | null => {
    if (!Number.isFinite(tires[0]!.depths[rib])) return null;
    const values = Array.from(along, () => new Float64Array(tires.length));
    tires.forEach((tire, car) => {
      depthsAlong(tire, rib, newDepths[rib]!, stepKm, along);
      values.forEach((at, i) => (at[car] = Math.max(leastMm, along[i]!)));
    });
    return { km: values.map((_, at) => at * stepKm), mm: values.map(span) };
  };
  return byWheel((wheel) => {
    const first = 3 * WHEEL_ORDER.indexOf(wheel);
    return { inner: curveAt(first), centre: curveAt(first + 1), outer: curveAt(first + 2) };
  });
}

/** Median and 80 % interval of some values. */
export function span(values: Float64Array): Span {
  const sorted = values.toSorted();
  return {
    low: quantileOf(sorted, LOW),
    median: quantileOf(sorted, 0.5),
    high: quantileOf(sorted, HIGH),
  };
}

/** Linear between order statistics (Hyndman and Fan 1996, definition 7). */
export function quantileOf(sorted: Float64Array, part: number): number {
  const at = part * (sorted.length - 1);
  const below = sorted[Math.floor(at)]!;
  const above = sorted[Math.ceil(at)]!;
  return below + (above - below) * (at - Math.floor(at));
}
