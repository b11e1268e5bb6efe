import type { Reliability } from '@keen/core';
import { t } from '../../words/insights.ts';

const FULL = 100;
/** A part in hundreds, as the lower end of a range has it: `42`. */
export const hundreds = (part: number) => Math.round(FULL * part).toFixed(0);
/** The same by itself or at the upper end: `50 %`. */
export const percent = (part: number) => `${hundreds(part)} %`;

/** A band of chances in words, for people who cannot see the chart. */
export function bandWords({ said, found }: Reliability['bands'][number]): string {
  return t('bandWords.saidCameTrueOf', {
    said: percent(said),
    part: percent(found.part),
    of: found.of,
  });
}
