import { describe, expect, it } from 'vitest';
import type { Angles } from './angleLedger.ts';
import { setRightPlan } from './setRightPlan.ts';

const straight: Angles = {
  lf: { camber: -0.4, toe: 0.05 },
  rf: { camber: -0.4, toe: 0.05 },
  lr: { camber: -0.8, toe: 0.075 },
  rr: { camber: -0.8, toe: 0.075 },
};
const keys = (change: Angles, repeat?: 'returns' | 'moves') =>
  setRightPlan({ ...straight, ...change }, undefined, {}, { repeat }).map(({ key }) => key);

describe('setRightPlan', () => {
  it('has nothing to do on a car in tolerance', () => {
    expect(keys({})).toEqual([]);
  });

  it('goes rear before front, camber before toe, the steering wheel last (common practice)', () => {
    expect(
      keys({
        lf: { camber: -2, toe: 0.4 },
        rf: { camber: -0.4, toe: 0.4 },
        lr: { camber: -3, toe: 0.6 },
      }),
    ).toEqual([
      'camber-lr',
      'toe-lr',
      'toe-rr',
      'camber-lf',
      'camber-rf',
      'toe-lf',
      'toe-rf',
      'steeringWheel',
    ]);
  });

  it('sets each rear wheel to the same toe, which takes the thrust out', () => {
    const plan = setRightPlan(
      { ...straight, lr: { camber: -0.8, toe: 0.3 }, rr: { camber: -0.8, toe: -0.1 } },
      undefined,
    );
    const after = { lr: 0.3, rr: -0.1 } as Record<string, number>;
    for (const { key, change } of plan.filter(({ key: name }) => name.startsWith('toe-'))) {
      after[key.slice(4)]! += change!;
    }
    expect(after.lr).toBeCloseTo(after.rr!, 12);
    // The middle of the usual -0.1 to 0.4 for the pair.
    expect(after.lr! + after.rr!).toBeCloseTo(0.15, 12);
  });

  it('measures toe again where camber is set, though it was in', () => {
    const plan = setRightPlan({ ...straight, lf: { camber: -2, toe: 0.05 } }, undefined);
    const toe = plan.find(({ key }) => key === 'toe-lf');
    expect(toe?.why).toMatch(/measure it again first/);
  });

  it('goes on with what was out until it is plainly in', () => {
    const before = { ...straight, lf: { camber: -0.4, toe: 0.3 }, rf: { camber: -0.4, toe: 0.3 } };
    // One side set: the total of 0.35 is too close to 0.30 to tell.
    const half = { ...before, lf: { camber: -0.4, toe: 0.05 } };
    const left = (given: { before?: Angles }) =>
      setRightPlan(half, undefined, {}, given).map(({ key }) => key);
    expect(left({ before })).toEqual(['toe-lf', 'toe-rf', 'steeringWheel']);
    expect(left({})).toEqual([]);
    // Strings cannot tell this plainly in, but it stands at the middle as far as they can tell.
    const set = { ...straight, rf: { camber: -0.4, toe: 0.06 } };
    expect(setRightPlan(set, undefined, { toe: 'strings' }, { before })).toEqual([]);
  });

  it('puts worn parts first', () => {
    expect(keys({ lf: { camber: -0.4, toe: 0.5 } }, 'moves')[0]).toBe('parts');
    expect(keys({}, 'moves')).toEqual(['parts']);
  });
});
