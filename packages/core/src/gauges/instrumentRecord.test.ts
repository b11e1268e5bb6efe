import jstat from 'jstat';
import { linearRegression } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { INSTRUMENT_FACTS } from './instrumentFacts.ts';
import { instrumentRecord, LEAST_CHECKS } from './instrumentRecord.ts';

const day = (n: number) => new Date(Date.UTC(2026, 0, 1 + n)).toISOString();
/** A gauge that was off by so much at places of 2, 4 and 8 mm. */
const check = (n: number, ...off: number[]) => ({
  at: day(n),
  points: off.map((each, i) => ({ known: 2 ** (i + 1), read: 2 ** (i + 1) + each })),
});

describe('instrumentRecord', () => {
  it('judges by the worst place of the latest check', () => {
    expect(instrumentRecord('depth', []).state).toBe('never');
    const good = check(9, 0.1, -0.2, 0);
    expect(instrumentRecord('depth', [good]).state).toBe('good');
    const off = check(3, 0.1, -0.31, 0);
    expect(instrumentRecord('depth', [off]).state).toBe('off');
    // Whichever comes first in the list.
    expect(instrumentRecord('depth', [good, off]).state).toBe('good');
    expect(instrumentRecord('depth', [off]).errors[0]!.worst).toBeCloseTo(-0.31, 9);
    expect(instrumentRecord('depth', [off]).errors[0]!.mean).toBeCloseTo(-0.07, 9);
  });

  it('takes what a rig may be off by from what rigs repeat to', () => {
    const tenth = { at: day(0), points: [{ known: 0, read: 0.1 }] };
    expect(instrumentRecord('readout', [tenth]).state).toBe('off');
    expect(instrumentRecord('level', [tenth]).state).toBe('good');
    expect(
      Math.min(...Object.values(INSTRUMENT_FACTS).map(({ mostOff }) => mostOff)),
    ).toBeGreaterThan(0);
  });

  it('says no drift from too few checks or too few days', () => {
    const each = (count: number, days: number) =>
      Array.from({ length: count }, (_, i) => check((i * days) / (count - 1), 0.02 * i));
    expect(instrumentRecord('depth', each(LEAST_CHECKS - 1, 60)).drift).toBeNull();
    expect(instrumentRecord('depth', each(LEAST_CHECKS, 10)).drift).toBeNull();
    expect(instrumentRecord('depth', each(LEAST_CHECKS, 60)).drift).not.toBeNull();
  });

  it('has the slope and the interval of a straight line', () => {
    const off = [0.01, 0.05, 0.02, 0.09, 0.08, 0.14];
    const days = [0, 11, 25, 40, 52, 70];
    const drift = instrumentRecord(
      'depth',
      days.map((n, i) => check(n, off[i]!)),
    ).drift!;
    const line = linearRegression(days.map((n, i) => [n, off[i]!]));
    expect(drift.perYear).toBeCloseTo(line.m * 365.25, 6);
    const left = days.reduce((sum, n, i) => sum + (off[i]! - line.b - line.m * n) ** 2, 0);
    const mean = days.reduce((sum, n) => sum + n, 0) / days.length;
    const width = days.reduce((sum, n) => sum + (n - mean) ** 2, 0);
    const half = jstat.studentt.inv(0.975, 4) * Math.sqrt(left / 4 / width) * 365.25;
    expect(drift.high - drift.perYear).toBeCloseTo(half, 6);
    expect(drift.perYear - drift.low).toBeCloseTo(half, 6);
  });

  it('adds to the uncertainty what it was off by lately, not long ago', () => {
    const ten = Array.from({ length: 10 }, (_, i) => check(100 + i, i % 2 ? 0.06 : -0.08));
    expect(instrumentRecord('depth', [check(0, 3), ...ten]).errorSd).toBeCloseTo(
      Math.sqrt((0.06 ** 2 + 0.08 ** 2) / 2),
      9,
    );
    expect(instrumentRecord('depth', []).errorSd).toBe(0);
  });
});
