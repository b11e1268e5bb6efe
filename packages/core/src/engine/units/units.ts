import type { DepthUnit, DistanceUnit, PressureUnit } from '@keen/contract/words';
import { KM_PER_MI, KPA_PER_PRESSURE, MM_PER_IN32 } from '@keen/contract/words';

/** 1 in, exactly (international yard and pound agreement, 1959). */
export const MM_PER_IN = 25.4;
export const FEET_PER_MILE = 5280;
export const M_PER_KM = 1000;
export const MIN_PER_DEG = 60;
export const RAD_PER_DEG = Math.PI / 180;

const MM_PER_DEPTH: Record<DepthUnit, number> = { mm: 1, in32: MM_PER_IN32 };
const KM_PER_DISTANCE: Record<DistanceUnit, number> = { km: 1, mi: KM_PER_MI };

/**
 * Tread depth to mm from the unit it was read in.
 * @param value - in the unit
 * @param unit - that it was read in
 * @returns mm
 * @example depthToMm(4, 'in32') // 3.175
 */
export function depthToMm(value: number, unit: DepthUnit): number {
  return value * MM_PER_DEPTH[unit];
}

/**
 * Tread depth in mm to the unit it is shown in.
 * @param mm - mm
 * @param unit - that it is shown in
 * @example depthFromMm(3.175, 'in32') // 4
 */
export function depthFromMm(mm: number, unit: DepthUnit): number {
  return mm / MM_PER_DEPTH[unit];
}

/** Distance to km. */
/**
 * A distance that custom gives, as people say it in their unit: 8000 km are 5000 miles.
 * @param km - km
 * @param unit - that it is said in
 * @returns to the nearest ten below 1000, to the nearest hundred above
 * @example aboutDistance(8000, 'mi') // 5000
 */
export function aboutDistance(km: number, unit: DistanceUnit): number {
  const value = distanceFromKm(km, unit);
  const step = value < 1000 ? 10 : 100;
  return Math.round(value / step) * step;
}

/**
 * Distance to km from the unit it was typed in.
 * @param value - in the unit
 * @param unit - of the value
 * @returns km
 * @example distanceToKm(100, 'mi') // 160.9344
 */
export function distanceToKm(value: number, unit: DistanceUnit): number {
  return value * KM_PER_DISTANCE[unit];
}

/**
 * Distance in km to the unit it is shown in.
 * @param km - km
 * @param unit - that it is shown in
 * @example distanceFromKm(160.9344, 'mi') // 100
 */
export function distanceFromKm(km: number, unit: DistanceUnit): number {
  return km / KM_PER_DISTANCE[unit];
}

/**
 * Gauge pressure to kPa.
 * @param value - gauge pressure
 * @param unit - of the value
 * @returns kPa
 * @example Math.round(pressureToKpa(32, 'psi')) // 221
 */
export function pressureToKpa(value: number, unit: PressureUnit): number {
  return value * KPA_PER_PRESSURE[unit];
}

/**
 * Gauge pressure in kPa to the unit it is shown in.
 * @param kpa - gauge pressure, kPa
 * @param unit - that it is shown in
 * @example pressureFromKpa(250, 'bar') // 2.5
 */
export function pressureFromKpa(kpa: number, unit: PressureUnit): number {
  return kpa / KPA_PER_PRESSURE[unit];
}
