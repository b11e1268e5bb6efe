import { describe, expect, it } from 'vitest';
import { DEFAULT_PRICES } from '@keen/contract';
import type { Diagnosis, VisitDraft } from '@keen/contract';
import { byWheel } from '../../engine/case/resolveCase.ts';
import { declinedBefore } from './declinedBefore.ts';
import type { EarlierVisit } from './declinedBefore.ts';

/** Tires with this many km on them, new 8 mm, limit 1.6: 6.4 mm to use. */
const at = (km: number): VisitDraft => ({
  tires: byWheel(() => ({ newDepth: 8, distance: km })),
});
/** 2 mm by toe at each front tire, 1 mm by pressure at the left rear one. */
const diagnosis = {
  wheels: byWheel((wheel) => ({
    wear: {
      total: 4,
      base: 2,
      camber: 0,
      toe: wheel.endsWith('f') ? 2 : 0,
      pressure: wheel === 'lr' ? 1 : 0,
      cornering: 0,
      bounce: 0,
    },
  })),
} as unknown as Diagnosis;
const earlier = (
  decision: Partial<NonNullable<EarlierVisit['decision']>> | null,
  km = 0,
): EarlierVisit => ({
  number: 3,
  arrivedAt: '2025-03-01T09:00:00.000Z',
  draft: at(km),
  decision: decision && {
    action: 'fitOnly',
    advised: 'align',
    answer: 'no',
    reason: 'next time',
    replace: [],
    ...decision,
  },
});
const found = (visits: EarlierVisit[], km = 20_000) =>
  declinedBefore(visits, at(km), diagnosis, DEFAULT_PRICES);
/** One new tire, fitted, its old one taken back. */
const TIRE = 9_800 + 1_800 + 400;

describe('declinedBefore', () => {
  it('puts a figure to an alignment that was declined: rubber, tires, money', () => {
    const result = found([earlier({})])!;
    expect(result.lostMm).toEqual({ lf: 2, rf: 2, lr: 1, rr: 0 });
    expect(result.tires).toBeCloseTo(5 / 6.4, 9);
    expect(result.cost).toBeCloseTo((5 / 6.4) * TIRE, 6);
    expect(result).toMatchObject({ advised: 'align', reason: 'next time', work: 8_900 });
  });

  it('counts only what came after, by distance on the same tires', () => {
    const result = found([earlier({}, 15_000)])!;
    expect(result.lostMm.lf).toBeCloseTo(0.5, 9);
    // Put on that day, or on the car since: all of it.
    expect(found([earlier({ replace: ['lf'] }, 15_000)])!.lostMm.lf).toBe(2);
    expect(found([earlier({}, 30_000)])!.lostMm.lf).toBe(2);
  });

  it('counts what the work would have put right, and nothing else', () => {
    expect(found([earlier({ advised: 'inflateAndWatch' })])!.lostMm).toMatchObject({
      lf: 0,
      lr: 1,
    });
    expect(found([earlier({ advised: 'balanceOrDampers' })])!.lostMm).toMatchObject({
      lf: 0,
      lr: 1,
    });
  });

  it('says nothing where nothing was declined, or the work was done since', () => {
    expect(found([])).toBeNull();
    expect(found([earlier({ answer: 'yes' })])).toBeNull();
    expect(found([earlier({ advised: 'fitOnly' })])).toBeNull();
    expect(found([earlier({ answer: 'yes', action: 'align' }), earlier({})])).toBeNull();
    // An open visit decided nothing.
    expect(found([earlier({ answer: 'open' }), earlier(null), earlier({})])).not.toBeNull();
    expect(found([earlier({}, 19_900)])).toBeNull();
  });
});
