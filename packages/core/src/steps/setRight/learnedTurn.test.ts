import { describe, expect, it } from 'vitest';
import { learnTurn, turnLeft } from './learnedTurn.ts';

const at = '2026-03-01T09:00:00.000Z';
const adjuster = 'tieRod' as const;

describe('learnTurn', () => {
  it('finds half a turn more where half a turn did half of it', () => {
    // 1.9 to 0.9 by half a turn, and 0.9 left to go to nothing: 0.45 turns more.
    const learned = learnTurn([{ at, adjuster, amount: 0.5, from: 1.9, to: 0.9 }], 0.03)!;
    expect(learned.perUnit).toBeCloseTo(-2, 12);
    const left = turnLeft(learned, -0.9, 0.03)!;
    expect(left.amount).toBeCloseTo(0.45, 12);
    // sd of perUnit: sqrt(2) 0.03 / 0.5 = 0.085; 0.45 * 0.085 / 2 = 0.019, with 0.03 / 2 of the reading.
    expect(left.giveOrTake).toBeCloseTo(Math.hypot(0.015, 0.0191), 4);
  });

  it('turns back when the turn went too far', () => {
    const learned = learnTurn([{ at, adjuster, amount: 1, from: 0.5, to: -0.3 }], 0.03)!;
    expect(turnLeft(learned, 0.4, 0.03)!.amount).toBeCloseTo(-0.5, 12);
  });

  it('weighs several turns by their size (least squares, written out)', () => {
    const turns = [
      { at, adjuster, amount: 0.5, from: 1, to: 0.6 },
      { at, adjuster, amount: 0.25, from: 0.6, to: 0.36 },
      { at, adjuster, amount: -0.125, from: 0.36, to: 0.47 },
    ];
    const top = 0.5 * -0.4 + 0.25 * -0.24 + -0.125 * 0.11;
    const learned = learnTurn(turns, 0.05)!;
    expect(learned.perUnit).toBeCloseTo(top / (0.25 + 0.0625 + 0.015625), 12);
    expect(learned.sd).toBeCloseTo((Math.SQRT2 * 0.05) / Math.sqrt(0.328125), 12);
  });

  it('learns nothing from a turn that was not read again, or that moved nothing plainly', () => {
    expect(learnTurn([{ at, adjuster, amount: 0.5, from: 1 }], 0.05)).toBeNull();
    const stuck = learnTurn([{ at, adjuster, amount: 0.5, from: 1, to: 0.98 }], 0.05)!;
    expect(stuck.isPlain).toBe(false);
    expect(turnLeft(stuck, -1, 0.05)).toBeNull();
  });
});
