/** Round steps of distance from nothing on, at most eight of them, the last at or beyond the furthest. */
export function roundTicks(furthest: number): number[] {
  const step =
    [1_000, 2_000, 5_000, 10_000, 20_000, 25_000].find((one) => furthest / one <= 8) ?? 50_000;
  return Array.from({ length: Math.ceil(furthest / step) + 1 }, (_, i) => i * step);
}
