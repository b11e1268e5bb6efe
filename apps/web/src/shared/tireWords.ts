import type { Season, StoredTires } from '@keen/contract';
import dayjs from 'dayjs';

export const SEASON_WORDS: Record<Season, string> = {
  summer: 'summer',
  allSeason: 'all-season',
  winter: 'winter',
};

/** Tires that the shop stores, in a phrase: "4 winter tires, 205/55R16, on rims, at Rack B 12 since 2 Apr 2026". */
export function storedWords({ count, season, size, onRims, place, since }: StoredTires): string {
  const what = [season && SEASON_WORDS[season], count === 1 ? 'tire' : 'tires'].filter(Boolean);
  return [
    `${count} ${what.join(' ')}`,
    size,
    onRims ? 'on rims' : 'without rims',
    `at ${place} since ${dayjs(since).format('D MMM YYYY')}`,
  ]
    .filter(Boolean)
    .join(', ');
}
