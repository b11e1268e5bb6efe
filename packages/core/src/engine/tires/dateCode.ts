import { InputError } from '../errors/InputError.ts';

/** When a tire was made, by its date code. */
export interface TireDate {
  /** First day of the week it was made in, UTC, as `YYYY-MM-DD`. */
  weekBegins: string;
}

const DAY_MS = 86_400_000;
const WEEK_MS = 7 * DAY_MS;
/**
 * Reads the last four digits of a tire identification number: week, then year. Week 01 is the first
 * full calendar week, Sunday to Saturday; the last week may run into the next year.
 * @param code - four digits
 * @param today - `YYYY-MM-DD`; a tire is not made after it
 * @throws {InputError} `dateCode` for a week that the year does not have, or a date to come
 * Source: 49 CFR 574.5, recalled from memory.
 * @example readDateCode('2219', '2026-01-01').weekBegins // '2019-06-02'
 */
export function readDateCode(code: string, today: string): TireDate {
  if (!/^\d{4}$/.test(code)) throw new InputError('dateCode', 'dateCode');
  const week = Number(code.slice(0, 2));
  const year = 2000 + Number(code.slice(2));
  const first = firstSunday(year);
  const begins = first + (week - 1) * WEEK_MS;
  if (week < 1 || begins >= firstSunday(year + 1) || new Date(begins).getUTCFullYear() !== year) {
    throw new InputError('dateCode', 'weekOfYear', { year });
  }
  if (begins > Date.parse(today)) throw new InputError('dateCode', 'dateThatHasBeen');
  return { weekBegins: new Date(begins).toISOString().slice(0, 10) };
}

function firstSunday(year: number): number {
  const newYear = Date.UTC(year, 0, 1);
  return newYear + ((7 - new Date(newYear).getUTCDay()) % 7) * DAY_MS;
}

/**
 * Years since a tire was made, by its date code.
 * @param code - four digits
 * @param today - `YYYY-MM-DD`
 * @throws {InputError} as {@link readDateCode}
 * @example Math.floor(tireAgeYears('2219', '2026-01-01')) // 6
 */
export function tireAgeYears(code: string, today: string): number {
  const { weekBegins } = readDateCode(code, today);
  return (Date.parse(today) - Date.parse(weekBegins)) / (365.25 * DAY_MS);
}
