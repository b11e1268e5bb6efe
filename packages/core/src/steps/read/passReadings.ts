import type { TreadPass, TreadProfile } from '@keen/contract';
import type { Rib, Wheel } from '@keen/contract/words';
import { MAX_STATIONS, RIBS } from '@keen/contract/words';
import { WHEEL_ORDER } from '../../engine/case/wheels.ts';
import { profileDepths } from './profileDepths.ts';

/** Depths at one place round a tire, mm; null where no groove was found. */
export type PlaceDepths = Record<Rib, number | null>;

/**
 * Turns the cuts of a drive-over reader into readings: each tire's cuts are laid together into at most
 * {@link MAX_STATIONS} places round it, each rib the mean of its cuts.
 * @returns places from the first to the last cut, for each tire that was seen
 */
export function passReadings({ tires }: TreadPass): Partial<Record<Wheel, PlaceDepths[]>> {
  const readings: Partial<Record<Wheel, PlaceDepths[]>> = {};
  for (const wheel of WHEEL_ORDER) {
    const profiles = tires[wheel]?.profiles;
    if (profiles) readings[wheel] = placesOf(profiles);
  }
  return readings;
}

function placesOf(profiles: readonly TreadProfile[]): PlaceDepths[] {
  const ordered = profiles.toSorted((a, b) => a.along - b.along);
  const count = Math.min(MAX_STATIONS, ordered.length);
  return Array.from({ length: count }, (_, place) => {
    const from = Math.round((place * ordered.length) / count);
    const to = Math.round(((place + 1) * ordered.length) / count);
    const depths = ordered.slice(from, to).map(profileDepths);
    return Object.fromEntries(
      RIBS.map((rib) => {
        const read = depths.flatMap((one) => one[rib] ?? []);
        const mean = read.reduce((sum, depth) => sum + depth, 0) / read.length;
        // A reader tells hundredths at best.
        return [rib, read.length > 0 ? Number(mean.toFixed(2)) : null];
      }),
    ) as PlaceDepths;
  });
}
