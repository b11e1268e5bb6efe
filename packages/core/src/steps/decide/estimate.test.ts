import { DEFAULT_PRICES } from '@keen/contract';
import type { EstimateLine, WorkEstimate } from '@keen/contract';
import type { Action, Wheel } from '@keen/contract/words';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ENGLISH_PAPERS } from '../../words/englishPapers.ts';
import { estimateLines } from './estimateLines.ts';
import { changeLines, lineMinor, roundMinor, sumEstimate } from './estimate.ts';

const ID = '5a6d4f0e-8b1c-4f7a-9c3e-2d1b0a9f8e7d';
const line = (quantity: number, unitMinor: number, answer?: EstimateLine['answer']) => ({
  id: ID,
  what: 'Work',
  quantity,
  unitMinor,
  ...(answer ? { answer } : {}),
});
const estimate = (lines: EstimateLine[], change: Partial<WorkEstimate> = {}): WorkEstimate => ({
  version: 1,
  currency: 'EUR',
  taxPercent: 20,
  taxMode: 'added',
  lines,
  ...change,
});

const someLines = fc.array(
  fc.record({
    id: fc.constant(ID),
    what: fc.constant('Work'),
    quantity: fc.oneof(
      fc.integer({ min: 1, max: 8 }),
      fc.integer({ min: 1, max: 400 }).map((quarters) => quarters / 4),
    ),
    unitMinor: fc.integer({ min: 0, max: 5_000_000 }),
  }),
  { maxLength: 20 },
);
const tax = fc.integer({ min: 0, max: 6_000 }).map((hundredths) => hundredths / 100);

describe('an estimate', () => {
  it('adds up to the minor unit in every tax mode: lines, net, tax and total', () => {
    fc.assert(
      fc.property(someLines, tax, fc.constantFrom('added', 'included'), (lines, percent, mode) => {
        const sum = sumEstimate({ lines, taxPercent: percent, taxMode: mode });
        const byLine = lines.reduce((total, one) => total + lineMinor(one), 0);
        expect(sum.net + sum.tax).toBe(sum.total);
        expect(mode === 'added' ? sum.net : sum.total).toBe(byLine);
        for (const minor of Object.values(sum)) expect(Number.isInteger(minor)).toBe(true);
        // Tax is right to half a minor unit, computed in whole hundredths of a percent with big integers.
        const hundredths = BigInt(Math.round(percent * 100));
        const base = BigInt(byLine);
        const divisor = mode === 'added' ? 10_000n : 10_000n + hundredths;
        const twiceOff = 2n * (base * hundredths - BigInt(sum.tax) * divisor);
        expect(twiceOff <= divisor && twiceOff >= -divisor).toBe(true);
      }),
    );
  });

  it('is split by answers without losing a line', () => {
    fc.assert(
      fc.property(someLines, (lines) => {
        const [some, others] = [
          sumEstimate(estimate(lines), (one) => one.unitMinor % 2 === 0),
          sumEstimate(estimate(lines), (one) => one.unitMinor % 2 === 1),
        ];
        expect(some.net + others.net).toBe(sumEstimate(estimate(lines)).net);
      }),
    );
  });

  it('agrees with sums done by hand', () => {
    const lines = [line(4, 9_800), line(4, 1_800), line(1.5, 3_333), line(1, 8_900)];
    // 392.00 + 72.00 + 50.00 (49.995) + 89.00
    expect(sumEstimate(estimate(lines))).toEqual({ net: 60_300, tax: 12_060, total: 72_360 });
    expect(sumEstimate(estimate(lines, { taxMode: 'included' }))).toEqual({
      net: 50_250,
      tax: 10_050,
      total: 60_300,
    });
    expect(sumEstimate(estimate([], { taxPercent: 7.7 }))).toEqual({ net: 0, tax: 0, total: 0 });
  });

  it('rounds halves away from zero, also where binary fractions fall short of them', () => {
    expect([0.5, 1.5, 2.5, -0.5, 1.005 * 100, 2.675 * 100].map(roundMinor)).toEqual([
      1, 2, 3, -1, 101, 268,
    ]);
  });

  it('that was signed becomes a new version when it is changed, unsigned', () => {
    const signed = estimate([line(1, 100)], {
      signed: { name: 'A. Customer', at: '2026-03-01T10:00:00.000Z' },
    });
    expect(changeLines(signed, [line(2, 100)])).toEqual(estimate([line(2, 100)], { version: 2 }));
    expect(changeLines(estimate([]), [line(2, 100)]).version).toBe(1);
    expect(signed.lines).toHaveLength(1);
  });
});

describe('estimateLines', () => {
  const WORDS = ENGLISH_PAPERS.prices;
  const ids = () => ID;
  const NONE = { arms: 0, sensors: 0, dampersFirst: false };
  const lines = (course: Action, replace: readonly Wheel[], extras = NONE) =>
    estimateLines(course, replace, extras, DEFAULT_PRICES, WORDS, ids).map(
      ({ what, quantity }) => `${quantity} ${what}`,
    );

  it('come from the course and the tires to replace, axle by axle', () => {
    expect(lines('align', ['lf', 'rf', 'rr'])).toEqual([
      '1 Wheel alignment, all angles set',
      '2 New tire, front',
      '1 New tire, rear',
      '3 Fit and balance a tire',
      '3 Take back an old tire',
    ]);
    expect(lines('partsThenAlign', [])).toHaveLength(3);
    expect(lines('fitOnly', [])).toEqual([]);
  });

  it('begin with the balance where dampers come before the alignment', () => {
    const waves = { ...NONE, dampersFirst: true };
    expect(lines('align', [], waves)).toEqual([
      `1 ${WORDS.balance}`,
      '1 Wheel alignment, all angles set',
    ]);
    expect(lines('balanceOrDampers', [], waves)).toEqual([`1 ${WORDS.balance}`]);
    expect(lines('inflateAndWatch', [], waves)).toHaveLength(1);
  });

  it('count an arm for each wheel that has no adjuster, where angles are set', () => {
    const arm = '2 Adjustable arm or shims, one wheel';
    expect(lines('align', [], { ...NONE, arms: 2 })).toContain(arm);
    expect(lines('partsThenAlign', [], { ...NONE, arms: 2 })).toContain(arm);
    // Who measures first finds out whether one is needed.
    expect(lines('checkAlignment', [], { ...NONE, arms: 2 })).toHaveLength(1);
    expect(lines('inflateAndWatch', [], { ...NONE, arms: 2, sensors: 4 })).toEqual([
      '1 Set the pressures',
      '4 Pressure sensor, one wheel',
    ]);
  });

  it('leave out what costs nothing', () => {
    expect(lines('inflateAndWatch', [])).toEqual(['1 Set the pressures']);
    const free = { ...DEFAULT_PRICES, items: { ...DEFAULT_PRICES.items, inflate: 0 } };
    expect(estimateLines('inflateAndWatch', [], NONE, free, WORDS, ids)).toEqual([]);
  });
});
