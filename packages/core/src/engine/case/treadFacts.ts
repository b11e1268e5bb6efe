/** What is known of treads and their readings apart from any cause of wear. */

/** A hand reading, before rounding: standard deviation, mm. */
export const READING_SD_MM = 0.15;

/** Depth a reading is rounded to, mm: a tenth, or 1/32 in. */
export const ROUNDING_MM = { mm: 0.1, in32: 0.79375 } as const;

/** How far one hand reading may be off. */
export interface ReadingError {
  /** Before rounding: standard deviation, mm. */
  sdMm: number;
  /** What it is rounded to, mm. */
  roundingMm: number;
}

/**
 * Variance of one hand reading, mm2: the hand's and that of rounding evenly to a step (step^2 / 12).
 * @example readingVariance({ sdMm: 0.3, roundingMm: 0.6 }).toFixed(2) // '0.12'
 */
export function readingVariance({ sdMm, roundingMm }: ReadingError): number {
  return sdMm ** 2 + roundingMm ** 2 / 12;
}

/** What a tire had when new, against what is said: standard deviation, mm. */
export const NEW_DEPTH_SD_MM = 0.15;

/**
 * What a car's rate of wear differs by from one part of its way to the next with nothing changed, relative:
 * roads, seasons, load (common practice, no source).
 */
export const RATE_SD = 0.12;

/** Rate of wear at full depth less that at none, as a part of the mean: fresh tread wears faster. */
export const DEPTH_RATE = 0.3;
