import type { PracticeResult } from '@keen/contract';
import { RIBS, WHEELS } from '@keen/contract/words';
import { describe, expect, it } from 'vitest';
import { exampleCase } from '../../tests/exampleCase.ts';
import { diagnose } from '../steps/explain/diagnose.ts';
import { depthErrorMm, skillScores } from './skills.ts';
import { usualChance } from './usualChances.ts';

const { diagnosis } = diagnose(exampleCase());
const named = (
  causes: PracticeResult['answer']['causes'],
  faults: PracticeResult['truth']['faults'],
) =>
  ({
    answer: { causes, course: 'align' },
    truth: { faults },
    best: { causes: [], course: 'align', diagnosis },
  }) as unknown as PracticeResult;
const frontToe = { cause: 'toeTooFarIn', where: 'front' } as const;
const of = (results: readonly PracticeResult[], skill: string) =>
  skillScores(results).find((one) => one.skill === skill)!;

describe('skillScores', () => {
  it('gives nothing for what anybody could say, and all for knowing', () => {
    const sure = [
      { ...frontToe, chance: 1 },
      { cause: 'toeTooFarIn', where: 'rear', chance: 0 },
      { cause: 'toeTooFarOut', where: 'front', chance: 0 },
      { cause: 'toeTooFarOut', where: 'rear', chance: 0 },
    ] as const;
    const result = named([...sure], [frontToe]);
    expect(of([result], 'toe')).toMatchObject({ cars: 1 });
    expect(of([result], 'toe').points).toBeCloseTo(100, 9);
    // Nothing was said of camber: the usual chances are all there is.
    expect(of([result], 'camber')).toMatchObject({ cars: 0 });
    expect(of([result], 'camber').points).toBeCloseTo(0, 9);
  });

  it('adds up squares over cars before it compares, worked by hand', () => {
    const usual = ['toeTooFarIn', 'toeTooFarOut'].flatMap((cause) =>
      ['front', 'rear'].map((where) => usualChance(cause as 'toeTooFarIn', where as 'front')),
    );
    const [frontIn, ...rest] = usual as [number, number, number, number];
    const others = rest.reduce((sum, chance) => sum + chance ** 2, 0);
    // One car with toe-in said at 0.8 and so, one said at 0.8 and not so.
    const said = { ...frontToe, chance: 0.8 };
    const score = 0.2 ** 2 + others + 0.8 ** 2 + others;
    const byUsual = (1 - frontIn) ** 2 + others + frontIn ** 2 + others;
    expect(of([named([said], [frontToe]), named([said], [])], 'toe').points).toBeCloseTo(
      100 * (1 - score / byUsual),
      9,
    );
  });

  it('has no figure without a car', () => expect(skillScores([])).toEqual([]));
});

describe('depthErrorMm', () => {
  const depths = Object.fromEntries(
    WHEELS.map((wheel) => [wheel, Object.fromEntries(RIBS.map((rib) => [rib, 5]))]),
  ) as PracticeResult['truth']['depthsMm'];

  it('is the mean distance, leaving out ribs that could not be read', () => {
    const draft = {
      tires: {
        lf: { stations: [{ inner: 4.8, centre: 5.4 }] },
        rr: { stations: [{ outer: 'unreadable' as const }] },
      },
    };
    expect(depthErrorMm(draft as never, depths)).toBeCloseTo(0.3, 12);
  });

  it('is none where nothing was noted', () => {
    expect(depthErrorMm({}, depths)).toBeNull();
  });
});
