import { READING_SD_MM } from '../engine/case/treadFacts.ts';
import type { GaugeStudy, SpreadMm } from './gaugeStudy.ts';

/** What a study has to see, mm: a rib worn by so much more than its neighbour is worth a word. */
export const TO_SEE_MM = 0.5;
/** How many degrees of freedom the usual spread of a reading weighs against a study's own. */
const USUAL_FREEDOM = 20;
/** Nobody reads a groove's floor better than this, mm (common practice, no source). */
const LEAST_SD_MM = 0.05;

/**
 * The spread of one reading, before rounding, that the diagnosis uses after a study: the study's own,
 * drawn towards the usual one where the study is small. What a person reads too deep or too shallow
 * everywhere is not in it: it is the same at all ribs of a visit and makes no pattern.
 * @param roundingMm - what readings were rounded to; the diagnosis counts that by itself
 * @returns standard deviation, mm
 * Source: normal variance with a scaled inverse chi-square prior, Gelman et al., Bayesian Data Analysis, 2.6.
 */
export function readingSpread(
  { within, freedom }: Pick<GaugeStudy, 'within' | 'freedom'>,
  roundingMm: number,
): number {
  const own = Math.max(LEAST_SD_MM ** 2, within.mm ** 2 - roundingMm ** 2 / 12);
  const variance = (USUAL_FREEDOM * READING_SD_MM ** 2 + freedom * own) / (USUAL_FREEDOM + freedom);
  return Math.sqrt(variance);
}

/**
 * Whether a difference of half a millimetre can be seen; `unsure` where the interval holds both.
 * @example canSee({ value: 0.1, interval: [0.05, 0.15] }) // 'unsure'
 */
export function canSee({ low, high }: SpreadMm): 'yes' | 'no' | 'unsure' {
  if (high <= TO_SEE_MM) return 'yes';
  return low > TO_SEE_MM ? 'no' : 'unsure';
}
