/** Points to the nearest whole, with a minus of its own width. */
export function showPoints(points: number): string {
  const whole = Math.round(points);
  return whole < 0 ? `−${Math.abs(whole)}` : String(whole);
}
