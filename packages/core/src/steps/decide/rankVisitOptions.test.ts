import { DEFAULT_PRICES } from '@keen/contract';
import type { VisitDraft } from '@keen/contract';
import { describe, expect, it } from 'vitest';
import { axleOf } from '../../engine/case/wheels.ts';
import { evenCar } from '../../../tests/evenCar.ts';
import { diagnose } from '../explain/diagnose.ts';
import { rankCaseOptions, rankVisitOptions } from './rankVisitOptions.ts';

describe('rankVisitOptions', () => {
  const { outlook, diagnosis } = diagnose(evenCar({ lr: [2.6, 4.8, 5.8], rr: [2.8, 4.9, 5.8] }));
  const weighed = (draft: VisitDraft) => rankVisitOptions(outlook, DEFAULT_PRICES, draft, []);
  const alignOf = ({ choices }: ReturnType<typeof rankVisitOptions>) =>
    choices.find(({ course }) => course === 'align')!;

  it('adds arms for camber that the car cannot have set, by how likely each wheel needs one', () => {
    const plain = alignOf(weighed({}));
    const fixed = alignOf(
      weighed({
        visit: { car: { adjustable: { rear: { camber: 'no' }, front: { camber: 'yes' } } } },
      }),
    );
    const out = outlook.cars.map(({ camberOut }) =>
      camberOut.filter((at) => axleOf(at) === 'rear'),
    );
    const arms = out.reduce((sum, { length }) => sum + length, 0) / out.length;
    expect(diagnosis.wheels.lr.probability.camberTooNegative).toBeGreaterThan(0.3);
    expect(arms).toBeGreaterThan(0.5);
    expect(fixed.workNow - plain.workNow).toBeCloseTo(arms * DEFAULT_PRICES.items.adjustableArm, 6);
    // Who does not know leaves the arm out, as the case file does, which has no such field.
    const unknown = weighed({ visit: { car: { adjustable: { rear: { camber: 'unknown' } } } } });
    expect(alignOf(unknown).workNow).toBe(plain.workNow);
    expect(alignOf(rankCaseOptions(outlook, DEFAULT_PRICES, [])).workNow).toBe(plain.workNow);
  });
});
