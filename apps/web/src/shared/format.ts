import { term } from '../words/terms.ts';
import type { DepthUnit, DistanceUnit, PressureUnit } from '@keen/contract';
import { aboutDistance, depthFromMm, distanceFromKm, pressureFromKpa } from '@keen/core';
import { pageTag } from '../words/pageLanguage.ts';

export const DEPTH_UNIT_WORDS: Record<DepthUnit, string> = { mm: 'mm', in32: term('unit.in32') };

/** Decimals a value is shown with, by its unit. */
const DEPTH_DECIMALS: Record<DepthUnit, number> = { mm: 1, in32: 0 };
const PRESSURE_DECIMALS: Record<PressureUnit, number> = { kPa: 0, psi: 0, bar: 1 };

export function showDepth(mm: number, unit: DepthUnit): string {
  return depthFromMm(mm, unit).toFixed(DEPTH_DECIMALS[unit]);
}

export function showPressure(kpa: number, unit: PressureUnit): string {
  return pressureFromKpa(kpa, unit).toFixed(PRESSURE_DECIMALS[unit]);
}

/** A count or figure to the nearest whole, its thousands set apart and on one line. */
export function showWhole(value: number): string {
  return Math.round(value).toLocaleString('en').replace(/,/g, '\u00a0');
}

export function showDistance(km: number, unit: DistanceUnit): string {
  return showWhole(distanceFromKm(km, unit));
}

/** A distance that custom gives: round in whichever unit. */
export function showAbout(km: number, unit: DistanceUnit): string {
  return String(aboutDistance(km, unit)).replace(/\B(?=\d{3}$)/, '\u00a0');
}

/** A distance that is forecast: to the thousand, below ten thousand to the hundred. */
export function showFar(km: number, unit: DistanceUnit): string {
  const value = distanceFromKm(km, unit);
  const step = value < 10_000 ? 100 : 1000;
  return showWhole(Math.round(value / step) * step);
}

/** An angle with its sign, degrees. */
export function showDegrees(value: number, decimals: number): string {
  const size = Math.abs(value).toFixed(decimals);
  const sign = Number(size) === 0 ? '' : value < 0 ? '−' : '+';
  return `${sign}${size}°`;
}

/** A probability as a whole per cent, never quite 0 or 100. */
export function showPercent(probability: number): string {
  const rounded = Math.round(probability * 100);
  if (rounded >= 100) return '>\u00a099\u00a0%';
  if (rounded <= 0) return '<\u00a01\u00a0%';
  return `${rounded}\u00a0%`;
}

/** With a capital letter at the head. */
export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** A moment by the reader's own clock and habit. */
export function dateTime(iso: string): string {
  const options = { dateStyle: 'medium', timeStyle: 'short' } as const;
  return new Intl.DateTimeFormat(pageTag, options).format(new Date(iso));
}
