import type { DraftCar, SpecSheet, VisitDraft } from '@keen/contract';
import { describe, expect, it } from 'vitest';
import { ENGLISH_SCREENS } from '../../../tests/englishScreens.ts';
import type { Angles } from '../measure/angleLedger.ts';
import { reachOf, usualAdjuster } from './reach.ts';
import { setRightPlan } from './setRightPlan.ts';
import { STARTING_POINTS, startingSheet } from '../measure/startingPoints.ts';

const straight: Angles = {
  lf: { camber: -0.4, toe: 0.05 },
  rf: { camber: -0.4, toe: 0.05 },
  lr: { camber: -0.8, toe: 0.075 },
  rr: { camber: -0.8, toe: 0.075 },
};
const draftOf = (change: Angles, rest: VisitDraft = {}): VisitDraft => ({
  ...rest,
  angles: { ...straight, ...change },
});
const keys = (change: Angles, rest: VisitDraft = {}) =>
  setRightPlan(draftOf(change, rest)).map(({ key }) => key);
const byTheSheet = (sheet: Partial<SpecSheet>): VisitDraft => ({
  visit: {
    sheet: {
      sheetId: null,
      revision: null,
      enteredBy: null,
      enteredAt: null,
      sheet: {
        ...startingSheet(STARTING_POINTS[0]!, ENGLISH_SCREENS.measure.startingPoints),
        ...sheet,
      },
    },
  },
});

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
    ).toEqual(['camber-lr', 'toe-lr', 'toe-rr', 'camber-lf', 'toe-lf', 'toe-rf', 'steeringWheel']);
  });

  it('sets caster before camber and toe, and alike on both sides where no sheet says', () => {
    const plan = setRightPlan(
      draftOf({ lf: { ...straight.lf, caster: 5 }, rf: { ...straight.rf, caster: 3 } }),
    );
    expect(plan.map(({ key }) => key)).toEqual([
      'caster-lf',
      'caster-rf',
      'toe-lf',
      'toe-rf',
      'steeringWheel',
    ]);
    expect(plan.slice(0, 2).map(({ change }) => change)).toEqual([-1, 1]);
  });

  it('sets each rear wheel to the same toe, which takes the thrust out', () => {
    const plan = setRightPlan(
      draftOf({ lr: { camber: -0.8, toe: 0.3 }, rr: { camber: -0.8, toe: -0.1 } }),
    );
    const after = { lr: 0.3, rr: -0.1 } as Record<string, number>;
    for (const { key, change } of plan.filter(({ key: name }) => name.startsWith('toe-'))) {
      after[key.slice(4)]! += change!;
    }
    expect(after.lr).toBeCloseTo(after.rr!, 12);
    // The middle of the usual -0.1 to 0.4 for the pair.
    expect(after.lr! + after.rr!).toBeCloseTo(0.15, 12);
  });

  it('aims at the target of the sheet, not at the middle of its limits', () => {
    const sheet = byTheSheet({ camber: { rear: { low: -2, target: -1.7, high: 0 } } });
    const plan = setRightPlan(draftOf({ lr: { camber: -3, toe: 0.075 } }, sheet));
    expect(plan.find(({ key }) => key === 'camber-lr')!.change).toBeCloseTo(1.3, 12);
  });

  it('measures toe again where camber is set, though it was in', () => {
    const plan = setRightPlan(draftOf({ lf: { camber: -2, toe: 0.05 } }));
    const toe = plan.find(({ key }) => key === 'toe-lf');
    expect(toe?.why).toEqual({ kind: 'measure', because: 'camberWillMoveToe' });
  });

  it('goes on with what was out until it is plainly in', () => {
    const before = { ...straight, lf: { camber: -0.4, toe: 0.3 }, rf: { camber: -0.4, toe: 0.3 } };
    // One side set: the total of 0.35 is too close to 0.30 to tell.
    const half = { ...before, lf: { camber: -0.4, toe: 0.05 } };
    expect(keys(half, { visit: { setRight: { before } } })).toEqual(['toe-rf', 'steeringWheel']);
    expect(keys(half)).toEqual(['toe-rf', 'steeringWheel']);
    // Strings cannot tell this plainly in, but it stands at the middle as far as they can tell.
    const set = { rf: { camber: -0.4, toe: 0.06 } };
    expect(
      keys(set, { visit: { setRight: { before }, measure: { method: { toe: 'strings' } } } }),
    ).toEqual(['steeringWheel']);
  });

  it('puts worn parts first', () => {
    const moves: VisitDraft = { visit: { measure: { repeat: 'moves' } } };
    expect(keys({ lf: { camber: -0.4, toe: 0.5 } }, moves)[0]).toBe('parts');
    expect(keys({}, moves)).toEqual(['parts']);
    expect(keys({}, { play: { lf: 'excessive' } })).toEqual(['parts']);
    expect(keys({}, { play: { lf: 'some' } })).toEqual([]);
  });
});

describe('reachOf', () => {
  const reachFor = (draft: VisitDraft, key: string, adjuster: 'cam' | 'none' | 'adjustableArm') =>
    reachOf(
      draft,
      setRightPlan(draft).find((step) => step.key === key)!,
      adjuster,
    )!;
  const leaning = { lr: { camber: -3, toe: 0.075 } };

  it('holds the change against what the factory built in', () => {
    const within = draftOf(leaning, byTheSheet({ reach: { camber: { rear: 3 } } }));
    expect(reachFor(within, 'camber-lr', 'cam').state).toBe('within');
    const beyond = draftOf(leaning, byTheSheet({ reach: { camber: { rear: 1 } } }));
    const reach = reachFor(beyond, 'camber-lr', 'cam');
    expect(reach).toMatchObject({ state: 'beyond', range: [-1, 1] });
    // From -3 to the starting point's -0.75, less the one degree it has.
    expect(reach.short).toBeCloseTo(1.25, 12);
    expect(reach.part).toEqual({ kind: 'camberArm' });
    expect(reach.otherwise).toBe('inner');
    // An arm that was added has a range of its own, which nobody told us.
    expect(reachFor(beyond, 'camber-lr', 'adjustableArm').state).toBe('unknown');
  });

  it('goes by what was worked out for this very bolt first', () => {
    const draft = draftOf(leaning, byTheSheet({ reach: { camber: { rear: 1 } } }));
    const worked: VisitDraft = {
      ...draft,
      visit: { ...draft.visit, setRight: { reach: { 'camber-lr': [-2.5, 2.5] } } },
    };
    expect(reachFor(worked, 'camber-lr', 'cam').state).toBe('within');
  });

  it('knows that nothing moves where nothing is fitted, and upper arms for a changed height', () => {
    const lifted = draftOf(
      { lf: { camber: -2.5, toe: 0.05 } },
      { vehicle: { rideHeightChange: { front: 50 } } },
    );
    const reach = reachFor(lifted, 'camber-lf', 'none');
    expect(reach.state).toBe('beyond');
    expect(reach.part).toEqual({ kind: 'armsForHeight', mm: 50 });
  });

  it('starts from a hub shim at a fixed rear, from nothing at a fixed front', () => {
    const fixed = byTheSheet({ reach: { camber: { front: 0, rear: 0 } } });
    const draft = draftOf({ ...leaning, lf: { camber: -3, toe: 0.05 } }, fixed);
    const usual = (key: string, of = draft) =>
      usualAdjuster(
        of,
        setRightPlan(of).find((step) => step.key === key)!,
      );
    expect(usual('camber-lr')).toBe('hubShim');
    expect(usual('camber-lf')).toBe('none');
    expect(usual('toe-lf')).toBe('tieRod');
    expect(usual('camber-lr', draftOf(leaning))).toBe('cam');
  });

  it('starts from what the suspension noted on arrival is usually set with', () => {
    const usual = (car: DraftCar, key: string) => {
      const draft = draftOf({ ...leaning, lf: { camber: -3, toe: 0.05 } }, { visit: { car } });
      return usualAdjuster(
        draft,
        setRightPlan(draft).find((step) => step.key === key)!,
      );
    };
    expect(usual({ suspension: { front: 'twoArms' } }, 'camber-lf')).toBe('armShims');
    expect(usual({ suspension: { front: 'strut', rear: 'beam' } }, 'camber-lr')).toBe('hubShim');
    expect(usual({ suspension: { front: 'strut' } }, 'camber-lf')).toBe('slots');
    expect(usual({ adjustable: { front: { camber: 'no' } } }, 'camber-lf')).toBe('none');
    expect(usual({ adjustable: { rear: { camber: 'no' } } }, 'camber-lr')).toBe('hubShim');
  });

  it('does not hold an added arm to what a cam was worked out to reach', () => {
    const draft = draftOf(leaning, {
      visit: { setRight: { reach: { 'camber-lr': [-0.95, 0.95] } } },
    });
    expect(reachFor(draft, 'camber-lr', 'cam').state).toBe('beyond');
    expect(reachFor(draft, 'camber-lr', 'adjustableArm').state).toBe('unknown');
  });

  it('says unknown where nobody knows', () => {
    expect(reachFor(draftOf(leaning), 'camber-lr', 'cam')).toMatchObject({
      state: 'unknown',
      range: null,
    });
  });
});
