import type { AdviceCount } from '@keen/contract';
import fc from 'fast-check';
import jstat from 'jstat';
import { describe, expect, it } from 'vitest';
import { acceptance, acceptanceBy } from './acceptance.ts';
import { shareOf } from './share.ts';

const ANN = '00000000-0000-4000-8000-000000000001';
const BEN = '00000000-0000-4000-8000-000000000002';
const count = (change: Partial<AdviceCount>): AdviceCount => ({
  personId: ANN,
  advised: 'align',
  chosen: 'align',
  answer: 'yes',
  count: 1,
  ...change,
});

describe('shareOf', () => {
  it('has the published interval', () => {
    // NIST/SEMATECH e-Handbook 7.2.4.1: 4 defects of 20, 95 %: 0.081 to 0.416.
    const { low, high } = shareOf(4, 20);
    expect(low).toBeCloseTo(0.081, 3);
    expect(high).toBeCloseTo(0.416, 3);
  });

  it('solves the equation that it is the solution of', () => {
    // (part - p)^2 = z^2 p (1 - p) / n, Wilson 1927; z^2 is the 95 % point of a chi-square.
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), fc.double({ min: 0, max: 1 }), (of, part) => {
        const share = shareOf(Math.round(of * (Number.isNaN(part) ? 0 : part)), of);
        const square = jstat.chisquare.inv(0.95, 1);
        for (const p of [share.low, share.high]) {
          expect((share.part - p) ** 2).toBeCloseTo((square * p * (1 - p)) / of, 6);
        }
        expect(share.low).toBeLessThanOrEqual(share.part + 1e-9);
        expect(share.high).toBeGreaterThanOrEqual(share.part - 1e-9);
      }),
    );
  });

  it('says where there are too few to tell', () => {
    expect(shareOf(0, 0)).toMatchObject({ low: 0, high: 1, isTooFew: true });
    expect(shareOf(5, 10).isTooFew).toBe(true);
    expect(shareOf(15, 30).isTooFew).toBe(false);
  });
});

describe('acceptanceBy', () => {
  const counts = [
    count({ count: 6 }),
    count({ answer: 'no', count: 3 }),
    count({ answer: 'open', count: 2 }),
    count({ personId: BEN, chosen: 'fitOnly', answer: 'no', count: 4 }),
    count({ personId: BEN, advised: 'fitOnly', chosen: 'fitOnly', count: 9 }),
  ];

  it('sums by what was advised, the most first; who still thinks counts for neither', () => {
    const [align, fit] = acceptanceBy('advised', counts);
    expect(align).toMatchObject({
      key: 'align',
      visits: 15,
      yes: 6,
      no: 7,
      open: 2,
      overridden: 4,
    });
    expect(align!.accepted.of).toBe(13);
    expect(fit).toMatchObject({ key: 'fitOnly', visits: 9, yes: 9, no: 0, overridden: 0 });
  });

  it('sums by who asked', () => {
    expect(acceptanceBy('personId', counts).map(({ key, visits }) => [key, visits])).toEqual([
      [BEN, 13],
      [ANN, 11],
    ]);
  });

  it('adds up to the whole', () => {
    const all = acceptance('all', counts);
    for (const by of ['advised', 'personId'] as const) {
      const rows = acceptanceBy(by, counts);
      expect(rows.reduce((sum, { visits }) => sum + visits, 0)).toBe(all.visits);
      expect(rows.reduce((sum, { yes }) => sum + yes, 0)).toBe(all.yes);
    }
    expect(acceptance('none', [])).toMatchObject({ visits: 0, accepted: { isTooFew: true } });
  });
});
