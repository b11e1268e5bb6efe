/** Air pressure at sea level and a usual air temperature. */
const ATMOSPHERE_KPA = 101.325;
const AIR_K = 293.15;

/**
 * What a tire that was read warm would show cold: at constant volume absolute pressure goes with
 * absolute temperature.
 * @param kpa - gauge pressure as read
 * @param warmBy - how much warmer than the air its own air is, K
 * @returns gauge pressure, kPa
 * Source: Gay-Lussac's law; air taken at 20 °C, 101.325 kPa.
 * @example Math.round(coldPressure(250, 25)) // 222
 */
export function coldPressure(kpa: number, warmBy: number): number {
  return Math.max(0, ((kpa + ATMOSPHERE_KPA) * AIR_K) / (AIR_K + warmBy) - ATMOSPHERE_KPA);
}
