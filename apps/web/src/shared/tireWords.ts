import type { Season, StoredTires } from '@keen/contract';
import dayjs from 'dayjs';
import { joined } from './joined.ts';
import { t } from '../words/shared.ts';

export const SEASON_WORDS: Record<Season, string> = {
  summer: t('tireWords.summer'),
  allSeason: t('tireWords.allSeason'),
  winter: t('tireWords.winter'),
};

/** Tires that the shop stores, in a phrase: "4 winter tires, 205/55R16, on rims, at Rack B 12 since 2 Apr 2026". */
export function storedWords({ count, season, size, onRims, place, since }: StoredTires): string {
  return joined(
    tiresWords(count, season),
    size,
    onRims ? t('tireWords.onRims') : t('tireWords.withoutRims'),
    t('tireWords.atSince', { place, since: dayjs(since).format('D MMM YYYY') }),
  );
}

/** How many tires of which season: "4 winter tires". */
export function tiresWords(count: number, season: Season | undefined): string {
  return season
    ? t('tireWords.tiresOfSeason', { count, season: SEASON_WORDS[season] })
    : t('tireWords.tires', { count });
}
