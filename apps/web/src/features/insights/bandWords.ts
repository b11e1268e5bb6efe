import type { Reliability } from '@keen/core';
import { t } from '../../words/insights.ts';

const FULL = 100;
export const percent = (part: number) => `${Math.round(FULL * part)} %`;

/** A band of chances in words, for people who cannot see the chart. */
export function bandWords({ said, found }: Reliability['bands'][number]): string {
  return t('bandWords.saidCameTrueOf', {
    said: percent(said),
    part: percent(found.part),
    of: found.of,
  });
}
