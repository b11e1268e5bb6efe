import { DEFAULT_PRICES } from '@keen/contract';
import type { Diagnosis, VisitDraft } from '@keen/contract';
import { sampleCorrelation } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { byWheel } from '../engine/case/resolveCase.ts';
import { declineCosts, LEAST_DECLINES } from './declineCosts.ts';
import type { SeenAgain } from './declineCosts.ts';

/** Declined at 10,000 km, seen again at 20,000, half of the toe's wear since. */
function seen(toeMm: number, advised: 'align' | 'balanceOrDampers' = 'align'): SeenAgain {
  const at = (distance: number): VisitDraft => ({
    tires: byWheel(() => ({ newDepth: 8, distance })),
  });
  const wear = { total: 0, base: 0, camber: 0, toe: toeMm, pressure: 0, cornering: 0, bounce: 0 };
  return {
    declined: {
      number: 1,
      arrivedAt: '2026-01-02T10:00:00.000Z',
      draft: at(10_000),
      decision: { action: advised, advised, answer: 'no', reason: '', replace: [] },
    },
    draft: at(20_000),
    diagnosis: { wheels: byWheel(() => ({ wear })) } as unknown as Diagnosis,
  };
}

describe('declineCosts', () => {
  it('is the rubber lost since, at the price of a tire', () => {
    const { all } = declineCosts([seen(1.28), seen(1.28)], DEFAULT_PRICES);
    const { tireFront, tireRear, fitTire, disposal, align } = DEFAULT_PRICES.items;
    // Half of 1.28 mm of the 6.4 mm that a tire has above the legal limit, on each of four.
    const tires = 2 * (tireFront + tireRear) + 4 * (fitTire + disposal);
    expect(all.cost.mean).toBeCloseTo(0.1 * tires, 6);
    expect(all.cost.interval!.low).toBeCloseTo(all.cost.mean, 6);
    expect(all.work).toBe(align);
  });

  it('counts a no that cost nothing, and says what is too few', () => {
    const few = declineCosts([seen(1.28), seen(0)], DEFAULT_PRICES);
    expect(few.all.cost.mean).toBeCloseTo(
      declineCosts([seen(1.28)], DEFAULT_PRICES).all.cost.mean / 2,
      6,
    );
    expect(few.all.isTooFew).toBe(true);
    const enough = Array.from({ length: LEAST_DECLINES }, (_, i) => seen(i / 5));
    expect(declineCosts(enough, DEFAULT_PRICES).all.isTooFew).toBe(false);
    // A no to balancing is not blamed for what toe took.
    expect(declineCosts([seen(1.28, 'balanceOrDampers')], DEFAULT_PRICES).all.cost.mean).toBe(0);
  });

  it('grows with what was lost, and is told by kind, the most first', () => {
    const lost = [0.8, 1.2, 1.6, 2, 2.4];
    const costs = lost.map((mm) => declineCosts([seen(mm)], DEFAULT_PRICES).all.cost.mean);
    expect(sampleCorrelation(lost, costs)).toBeCloseTo(1, 10);
    const { byAdvised } = declineCosts(
      [seen(1, 'balanceOrDampers'), seen(1), seen(2)],
      DEFAULT_PRICES,
    );
    expect(byAdvised.map(({ advised, seenAgain }) => [advised, seenAgain])).toEqual([
      ['align', 2],
      ['balanceOrDampers', 1],
    ]);
  });
});
