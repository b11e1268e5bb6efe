import type { StoredEntry } from '@keen/contract';

type Told = Pick<StoredEntry, 'id' | 'path' | 'value' | 'personId' | 'over'>;

/** Readings of one rib by people who did not see one another's. */
export interface Conflict {
  path: string;
  readings: Told[];
}

const STATION = /^tires\.\w+\.stations\.\d+\.\w+$/;

/**
 * Fields where two readings may stand beside one another.
 * @param path - dotted path of a field
 * @example allowsTwoReadings('tires.lf.stations.0.inner') // true
 * @example allowsTwoReadings('vehicle.drive') // false
 */
export function allowsTwoReadings(path: string): boolean {
  return STATION.test(path);
}

/**
 * Entries of a field that nothing later has replaced: one as a rule, more where somebody entered a value
 * without having seen the other's. An entry that does not say what it replaces replaces all.
 * @param entries - in the order they were stored
 */
export function headsOf(entries: readonly Told[], path: string): Told[] {
  let heads: Told[] = [];
  for (const entry of entries) {
    if (entry.path !== path) continue;
    const { over } = entry;
    heads = over ? heads.filter(({ id }) => !over.includes(id)) : [];
    heads.push(entry);
  }
  return heads;
}

/** Ribs with two readings that differ, until one is chosen. */
export function readingConflicts(entries: readonly Told[]): Conflict[] {
  const paths = [...new Set(entries.map(({ path }) => path).filter(allowsTwoReadings))];
  return paths.flatMap((path) => {
    const readings = headsOf(entries, path).filter(({ value }) => value !== null);
    const differ = new Set(readings.map(({ value }) => JSON.stringify(value))).size > 1;
    return differ ? [{ path, readings }] : [];
  });
}
