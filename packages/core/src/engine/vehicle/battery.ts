/** Below this share of its rating a battery is weak (common practice, no source). */
const WEAK_BELOW = 0.8;

/** How a battery stands: its measured cold cranking amps against those on its case. */
export function batteryVerdict(battery: { rated: number; measured: number }): {
  share: number;
  isWeak: boolean;
  words: string;
} {
  const share = battery.measured / battery.rated;
  const isWeak = share < WEAK_BELOW;
  const percent = `${Math.round(100 * share)} % of its rating`;
  return {
    share,
    isWeak,
    words: isWeak
      ? `${percent}: weak. Below ${100 * WEAK_BELOW} % it may fail on a cold morning; charge it, test again.`
      : `${percent}: good.`,
  };
}
