import { beforeAll, describe, expect, it } from 'vitest';
import { exampleCase, wear } from '../../../tests/exampleCase.ts';
import { diagnose } from './diagnose.ts';
import type { Answer } from '../../engine/diagnosis/diagnose.ts';
import { depthsWith, settingOf } from './whatIf.ts';

const file = exampleCase((worn) => {
  wear(worn, 'lf', [5.3, 4.5, 3.4]);
  wear(worn, 'rf', [5.2, 4.4, 3.3]);
  worn.tires.lf.feather = 'catchesOutward';
  worn.tires.rf.feather = 'catchesOutward';
});

describe('depthsWith', () => {
  let answer: Answer;
  beforeAll(() => {
    answer = diagnose(file);
  });

  it('leaves what the answer expects when nothing is changed', () => {
    const depths = depthsWith(file, answer.posteriorMean, settingOf(answer.posteriorMean));
    for (const wheel of ['lf', 'rf', 'lr', 'rr'] as const) {
      for (const rib of ['inner', 'centre', 'outer'] as const) {
        expect(depths[wheel][rib]).toBeCloseTo(answer.expectedMm[wheel][rib].mean, 0);
      }
    }
  });

  it('brings the outer edges back when the toe is put right, and leaves the rear alone', () => {
    const asIs = settingOf(answer.posteriorMean);
    const before = depthsWith(file, answer.posteriorMean, asIs);
    const after = depthsWith(file, answer.posteriorMean, {
      ...asIs,
      totalToe: { ...asIs.totalToe, front: 0.1 },
    });
    expect(after.lf.outer - before.lf.outer).toBeGreaterThan(1);
    expect(after.lf.outer - before.lf.outer).toBeGreaterThan(after.lf.inner - before.lf.inner);
    expect(after.lr).toEqual(before.lr);
  });

  it('never leaves less than nothing', () => {
    const asIs = settingOf(answer.posteriorMean);
    const worn = depthsWith(file, answer.posteriorMean, {
      ...asIs,
      totalToe: { front: 3, rear: 0 },
    });
    expect(worn.lf.outer).toBe(0);
  });
});
