import type { VisitDraft } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';
import { byWheel } from '../engine/case/resolveCase.ts';

/** An earlier visit of the same car. */
export interface EarlierVisit {
  /** ISO date and time. */
  arrivedAt: string;
  draft: VisitDraft;
}

/** What the odometer says of the tires, by the last visit at which it was read. */
export interface DistanceRun {
  /** When it was read before, ISO date and time. */
  readAt: string;
  /** Run since then, km: also the distance on tires that were fitted at that visit. */
  sinceKm: number;
  /** Distance of each tire if they are the same as then, km; null when it was not known then. */
  sameTiresKm: Record<Wheel, number> | null;
}

/**
 * Works out the distance on the tires from the odometer today and at an earlier visit.
 * @param odometerKm - today's
 * @param earlier - visits of the same car, latest first
 * @returns null when it was not read before, or reads less than then
 */
export function distanceRun(
  odometerKm: number,
  earlier: readonly EarlierVisit[],
): DistanceRun | null {
  const last = earlier.find(({ draft }) => draft.visit?.odometer !== undefined);
  const before = last?.draft.visit?.odometer;
  if (!last || before === undefined || odometerKm < before) return null;
  const sinceKm = odometerKm - before;
  const then = byWheel((wheel) => last.draft.tires?.[wheel]?.distance);
  const known = Object.values(then).every((km) => km !== undefined);
  return {
    readAt: last.arrivedAt,
    sinceKm,
    sameTiresKm: known ? byWheel((wheel) => then[wheel]! + sinceKm) : null,
  };
}

const DAYS_A_YEAR = 365.25;
const MS_A_DAY = 86_400_000;
/** What a car runs in a year where nothing of it is known, km (common practice, no source). */
export const USUAL_KM_A_YEAR = 15_000;

/**
 * About how far a car has run since a day.
 * @param from - year-month-day
 * @param to - year-month-day; not before `from`
 * @returns km, in whole hundreds; 0 when `to` is before `from`
 * @example usualDistance('2025-01-01', '2026-01-01') // 15000
 */
export function usualDistance(from: string, to: string): number {
  const days = (Date.parse(to) - Date.parse(from)) / MS_A_DAY;
  return Math.max(0, Math.round(((days / DAYS_A_YEAR) * USUAL_KM_A_YEAR) / 100) * 100);
}
