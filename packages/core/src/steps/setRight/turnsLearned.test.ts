import type { Learned, VisitDraft } from '@keen/contract';
import { describe, expect, it } from 'vitest';
import { savedTurns, pooled, turnsLearned } from './turnsLearned.ts';

const AT = '2026-03-01T10:00:00.000Z';
const turn = (amount: number, from: number, to: number, adjuster = 'tieRod' as const) => ({
  at: AT,
  adjuster,
  amount,
  from,
  to,
});
const learned = (change: Partial<Learned>): Learned => ({
  adjuster: 'tieRod',
  kind: 'toe',
  axle: 'front',
  perUnit: 1,
  sd: 0.1,
  at: AT,
  ...change,
});

describe('turnsLearned', () => {
  const draft: VisitDraft = {
    visit: {
      measure: { method: { toe: 'readout' } },
      setRight: {
        turns: {
          'toe-lf': [turn(0.5, 1.9, 0.9)],
          // The other rod was first turned the other way.
          'toe-rf': [turn(0.5, 0.2, 1.2)],
          'camber-lf': [turn(0.25, -1, -1.001)],
        },
      },
    },
  };

  it('keeps what a turn did, whichever way it was turned, over both sides', () => {
    const [rod, ...rest] = turnsLearned(draft);
    expect(rest).toEqual([]);
    expect(rod).toMatchObject({ adjuster: 'tieRod', kind: 'toe', axle: 'front' });
    expect(rod!.perUnit).toBeCloseTo(2, 6);
  });

  it('replaces what an earlier visit learned of the same adjuster, and keeps the rest', () => {
    const before = [learned({ perUnit: 3 }), learned({ axle: 'rear', perUnit: 0.7 })];
    const kept = savedTurns({ ...draft, visit: { ...draft.visit, car: { learned: before } } });
    expect(kept.map(({ axle, perUnit }) => [axle, Number(perUnit.toFixed(3))])).toEqual([
      ['front', 2],
      ['rear', 0.7],
    ]);
  });
});

describe('pooled', () => {
  it('weighs by how sure each is, as the inverse of its variance', () => {
    const [one] = pooled([learned({ perUnit: 1, sd: 0.1 }), learned({ perUnit: 1.1, sd: 0.2 })]);
    // (1 / 0.01 + 1.1 / 0.04) / (100 + 25).
    expect(one!.perUnit).toBeCloseTo(1.02, 9);
    expect(one!.sd).toBeCloseTo(Math.sqrt(1 / 125), 9);
  });

  it('is as unsure as cars of one sheet differ', () => {
    const [one] = pooled([
      learned({ perUnit: 0.5, sd: 0.01 }),
      learned({ perUnit: 1.5, sd: 0.01 }),
    ]);
    expect(one!.perUnit).toBeCloseTo(1, 9);
    expect(one!.sd).toBeCloseTo(0.5, 9);
  });
});
