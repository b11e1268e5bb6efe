import type { Damage, WheelStatus } from '@keen/contract/words';
import { UNSAFE_DAMAGES } from '@keen/contract/words';

/** Depths differ by floating point only below this, mm. */
const DEPTH_EPSILON_MM = 1e-9;

/**
 * What a tire is good for, by damage first and then by its worst rib.
 * @param minDepthMm - least depth read, mm; null when no rib could be read
 * @param damage - what was found on it
 * @param limits - legal and advised least depth, mm
 * @returns unsafe (cords, bulge or cut), replace (at or below legal), plan (at or below advised), ok
 * @example wheelStatus(2.5, [], { legal: 1.6, advise: 3 }) // 'plan'
 */
export function wheelStatus(
  minDepthMm: number | null,
  damage: readonly Damage[],
  limits: { legal: number; advise: number },
): WheelStatus {
  if (damage.some((kind) => UNSAFE_DAMAGES.includes(kind))) return 'unsafe';
  if (minDepthMm === null) return 'ok';
  if (minDepthMm <= limits.legal + DEPTH_EPSILON_MM) return 'replace';
  if (minDepthMm <= limits.advise + DEPTH_EPSILON_MM) return 'plan';
  return 'ok';
}
