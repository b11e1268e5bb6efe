import type { Rib, Wheel } from '@keen/contract/words';
import { byWheel } from '../case/resolveCase.ts';
import { WHEEL_ORDER } from '../case/wheels.ts';
import { depthAfter, KM_PER_THOUSAND_KM, RIB_COUNT } from './ribWear.ts';
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
const CURVE_POINTS = 24;

/** Depth of the lowest rib at even steps of distance, as quantiles over the possible cars. */
export function depthCurve(
  tires: readonly Wearing[],
  newDepths: Float64Array,
  furthestKm: number,
): DepthCurve {
  const km = Array.from({ length: CURVE_POINTS + 1 }, (_, i) => (i * furthestKm) / CURVE_POINTS);
  const lowest = new Float64Array(tires.length);
  return {
    km,
    mm: km.map((at) => {
      tires.forEach((tire, car) => {
        let least = Number.POSITIVE_INFINITY;
        for (let rib = 0; rib < RIB_COUNT; rib++) {
          if (!Number.isFinite(tire.depths[rib])) continue;
          const left = depthAfter(tire, rib, newDepths[rib]!, at / KM_PER_THOUSAND_KM);
          if (left < least) least = left;
        }
        lowest[car] = Math.max(0, least);
      });
      return span(lowest);
    }),
  };
}

/** Depth of each rib by itself; it goes down in a line that is nearly straight, so few points will do. */
export function ribCurves(
  tires: readonly Wearing[],
  newDepths: Float64Array,
  atKm: readonly number[],
  leastMm: number,
): RibCurves {
  const values = new Float64Array(tires.length);
  const curveAt = (rib: number): DepthCurve | null => {
    if (!Number.isFinite(tires[0]!.depths[rib])) return null;
    return {
      km: [...atKm],
      mm: atKm.map((km) => {
        tires.forEach((tire, car) => {
          const left = depthAfter(tire, rib, newDepths[rib]!, km / KM_PER_THOUSAND_KM);
          values[car] = Math.max(leastMm, left);
        });
        return span(values);
      }),
    };
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
