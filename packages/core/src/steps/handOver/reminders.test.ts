import { describe, expect, it } from 'vitest';
import type { Outlook } from '../../engine/outlook/outlook.ts';
import { reminders } from './reminders.ts';

const CURVE = { km: [], mm: [] };
const outlook = (low: number | null): Outlook => ({
  limitMm: 1.6,
  newDepthMm: 8,
  courses: [],
  oldKm: low === null ? null : { low, median: low * 1.2, high: low * 1.5 },
  curves: { oldAsIs: null, newAsIs: CURVE, newPutRight: CURVE },
  oldRibs: null,
  cars: [],
  dampersFirst: false,
  bars: {},
  checks: [],
});
/** Tires that stay where they are. */
const fixed = { vehicle: { rotatable: false } };
const tread = (list: ReturnType<typeof reminders>) =>
  list.find(({ what }) => what === 'tread')!.afterKm;

describe('reminders', () => {
  it('looks at the tread by custom, sooner when the forecast says so, never at once', () => {
    expect(tread(reminders(fixed, outlook(40_000), false))).toBe(8_000);
    expect(tread(reminders(fixed, outlook(6_000), false))).toBe(3_000);
    expect(tread(reminders(fixed, outlook(0), false))).toBe(500);
    expect(tread(reminders(fixed, outlook(null), false))).toBe(8_000);
  });

  it('speaks of wheel nuts where wheels came off, and forgets the old tires then', () => {
    const list = reminders(fixed, outlook(2_000), true);
    expect(list[0]).toEqual({ what: 'nuts', afterKm: 100, months: null });
    expect(tread(list)).toBe(8_000);
    expect(reminders(fixed, outlook(2_000), false).map(({ what }) => what)).not.toContain('nuts');
  });

  it('looks at the tread when tires change places, and sooner alone where it wears fast', () => {
    const kinds = (low: number) => reminders({}, outlook(low), false).map(({ what }) => what);
    expect(kinds(40_000)).toEqual(['rotation', 'alignment']);
    expect(kinds(6_000)).toEqual(['tread', 'alignment']);
  });

  it('carries what the technician wants to see again', () => {
    const list = reminders(
      { ...fixed, visit: { setRight: { recheckKm: 1_500 } } },
      outlook(null),
      false,
    );
    expect(list.map(({ what }) => what)).toEqual(['recheck', 'tread', 'alignment']);
    expect(list[0]!.afterKm).toBe(1_500);
  });
});
