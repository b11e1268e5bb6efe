import { describe, expect, it } from 'vitest';
import { datedReminders } from './datedReminders.ts';

const on = (afterKm: number | null, months: number | null, kmPerYear = 15_000) =>
  datedReminders([{ what: 'tread', afterKm, months }], '2026-03-01', kmPerYear)[0]!.on;

describe('datedReminders', () => {
  it('turns a distance into a day by what is driven in a year', () => {
    expect(on(15_000, null)).toBe('2027-03-01');
    expect(on(7_500, null, 30_000)).toBe('2026-05-31');
    expect(on(10, null)).toBe('2026-03-02');
  });

  it('takes the sooner of distance and time', () => {
    expect(on(null, 12)).toBe('2027-03-01');
    expect(on(30_000, 12)).toBe('2027-03-01');
    expect(on(100, 12)).toBe('2026-03-03');
  });
});
