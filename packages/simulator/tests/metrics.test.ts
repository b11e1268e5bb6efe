import fc from 'fast-check';
import { wilcoxonRankSum } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { auc, brier, calibrationError, logLoss } from '../src/metrics.ts';

describe('logLoss and brier', () => {
  it('are those of a coin when one says a half', () => {
    const half = [0.5, 0.5, 0.5, 0.5];
    const truths = [true, false, true, true];
    expect(logLoss(half, truths)).toBeCloseTo(Math.LN2, 12);
    expect(brier(half, truths)).toBeCloseTo(0.25, 12);
  });

  it('reward what came true', () => {
    expect(logLoss([0.9, 0.2], [true, false])).toBeCloseTo(
      -(Math.log(0.9) + Math.log(0.8)) / 2,
      12,
    );
    expect(brier([0.9, 0.2], [true, false])).toBeCloseTo((0.01 + 0.04) / 2, 12);
  });

  it('stay finite where one was sure and wrong', () => {
    expect(logLoss([0], [true])).toBeCloseTo(-Math.log(1e-4), 9);
  });
});

describe('auc', () => {
  it('agrees with the rank-sum of a statistics package, ties and all', () => {
    const cell = fc.record({ chance: fc.integer({ min: 0, max: 20 }), there: fc.boolean() });
    fc.assert(
      fc.property(fc.array(cell, { minLength: 2, maxLength: 60 }), (cells) => {
        const yes = cells.filter(({ there }) => there).map(({ chance }) => chance);
        const no = cells.filter(({ there }) => !there).map(({ chance }) => chance);
        fc.pre(yes.length > 0 && no.length > 0);
        const ranks = wilcoxonRankSum(yes, no);
        const expected = (ranks - (yes.length * (yes.length + 1)) / 2) / (yes.length * no.length);
        const found = auc(
          cells.map(({ chance }) => chance / 20),
          cells.map(({ there }) => there),
        );
        expect(found).toBeCloseTo(expected, 9);
      }),
    );
  });

  it('cannot be told when nothing was there', () => {
    expect(auc([0.2, 0.4], [false, false])).toBeNaN();
  });
});

describe('calibrationError', () => {
  it('is nothing when eight in ten of the eights come true', () => {
    const chances = Array.from({ length: 10 }, () => 0.8);
    const truths = chances.map((_, i) => i < 8);
    expect(calibrationError(chances, truths)).toBeCloseTo(0, 12);
    expect(
      calibrationError(
        chances,
        chances.map((_, i) => i < 5),
      ),
    ).toBeCloseTo(0.3, 12);
  });
});
