/** Below this share of its rating a battery is weak (common practice, no source). */
export const WEAK_BATTERY_BELOW = 0.8;

/**
 * How a battery stands: its measured cold cranking amps against those on its case.
 * @example batteryVerdict({ rated: 600, measured: 450 }) // { share: 0.75, isWeak: true }
 */
export function batteryVerdict(battery: { rated: number; measured: number }): {
  share: number;
  isWeak: boolean;
} {
  const share = battery.measured / battery.rated;
  return { share, isWeak: share < WEAK_BATTERY_BELOW };
}
