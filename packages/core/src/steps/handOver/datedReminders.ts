import type { DueReminder } from '@keen/contract';
import type { Reminder } from './reminders.ts';

/** What a car is driven in a year when nobody says (common practice, no source), km. */
export const USUAL_KM_PER_YEAR = 15_000;

const DAYS_PER_YEAR = 365;
const MONTHS_PER_YEAR = 12;
const DAY_MS = 86_400_000;

/**
 * The days by which things are due: a distance turns into time by what is driven in a year; where both are
 * known the sooner one counts.
 * @param from - the day of the visit, ISO
 * @param kmPerYear - km
 * @example datedReminders([{ what: 'nuts', afterKm: 100, months: null }], '2026-03-01', 15000)[0].on // '2026-03-03'
 */
export function datedReminders(
  list: readonly Reminder[],
  from: string,
  kmPerYear: number,
): DueReminder[] {
  const start = Date.parse(`${from}T00:00:00Z`);
  return list.map(({ what, afterKm, months }) => {
    const byDistance = afterKm === null ? Infinity : (afterKm / kmPerYear) * DAYS_PER_YEAR;
    const byTime = months === null ? Infinity : (months / MONTHS_PER_YEAR) * DAYS_PER_YEAR;
    const days = Math.max(1, Math.round(Math.min(byDistance, byTime)));
    const on = new Date(start + days * DAY_MS).toISOString().slice(0, 10);
    return { what, on, afterKm, state: 'open' };
  });
}
