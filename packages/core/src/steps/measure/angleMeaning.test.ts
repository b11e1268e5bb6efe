import type { VisitDraft } from '@keen/contract';
import { describe, expect, it } from 'vitest';
import { ENGLISH_SCREENS } from '../../../tests/englishScreens.ts';
import { angleLedger } from './angleLedger.ts';
import type { Angles } from './angleLedger.ts';
import { whatAnglesMean } from './angleMeaning.ts';
import { bentParts } from './bentPart.ts';
import { STARTING_POINTS, startingSheet } from './startingPoints.ts';

const straight: Angles = {
  lf: { camber: -0.4, toe: 0.05 },
  rf: { camber: -0.4, toe: 0.05 },
  lr: { camber: -0.8, toe: 0.08 },
  rr: { camber: -0.8, toe: 0.08 },
};
const said = (change: Angles, draft: VisitDraft = {}) => {
  const whole: VisitDraft = { ...draft, angles: { ...straight, ...change } };
  return whatAnglesMean(angleLedger(whole), whole, ENGLISH_SCREENS.measure).join(' ');
};

describe('whatAnglesMean', () => {
  it('has nothing to say of a car in tolerance', () => {
    expect(said({})).toBe('');
  });

  it('drifts to the more positive camber and to less caster (common practice, no source)', () => {
    expect(said({ lf: { camber: 0.4, toe: 0.05 } })).toMatch(/drifts to the left/);
    expect(said({ rf: { camber: 0.4, toe: 0.05 } })).toMatch(/drifts to the right/);
    expect(said({ lf: { caster: 6 }, rf: { caster: 4 } })).toMatch(/drifts to the right/);
    // Three tenths do not pull.
    expect(said({ lf: { caster: 4.3 }, rf: { caster: 4 } })).not.toMatch(/drifts/);
  });

  it('tells a tire pull by swapping the front tires, when the angles do not say why it pulls', () => {
    expect(said({}, { complaints: ['pullsLeft'] })).toMatch(/swap the two front tires/);
    expect(said({}, { complaints: ['noise'] })).toBe('');
  });

  it('counts how far off the steering wheel stands: thrust less what the front pair heads', () => {
    const rear = { lr: { toe: 0.4 }, rr: { toe: -0.2 } };
    expect(said(rear)).toMatch(/Thrust of 0\.30° to the right: the car crabs\. The rear axle/);
    // 0.30 times the usual 16.
    expect(said(rear)).toMatch(/is about 5° to the right .*16 : 1, assumed/);
    // A front pair that heads right by as much takes it out again.
    expect(said({ ...rear, lf: { toe: 0.35 }, rf: { toe: -0.25 } })).not.toMatch(
      /steering wheel is/,
    );
    // The left front alone toed in by 0.5 heads the pair 0.25 right: the driver turns left.
    expect(said({ lf: { toe: 0.55 } })).toMatch(/is about 4° to the left/);
  });

  it('warns of a rear that toes out, of little caster, and of a joint that binds', () => {
    expect(said({ lr: { toe: -0.3 }, rr: { toe: -0.3 } })).toMatch(/can make the car spin/);
    expect(said({ lf: { caster: 1 }, rf: { caster: 1 } })).toMatch(/Little caster/);
    expect(said({ lf: { caster: 4 }, rf: { caster: 4 } }, { complaints: ['noReturn'] })).toMatch(
      /impact wrench/,
    );
  });
});

describe('bentParts', () => {
  const parts = (lf: object, rf: object) => bentParts({ angles: { lf, rf } });
  const sound = { camber: -0.4, sai: 13 };

  it.each([
    // Camber off, included angle right: the axis leans. (Common practice, no source.)
    ['out', { camber: 1.4, sai: 11.2 }, 'axisOut'],
    ['in', { camber: -2.4, sai: 15 }, 'axisIn'],
    // Inclination right, camber off: the wheel sits wrong on the axis.
    ['wheel', { camber: -2.4, sai: 13 }, 'upright'],
    ['both', { camber: 1.6, sai: 10 }, 'both'],
  ])('tells %s', (_name, lf, kind) => {
    const [found, ...more] = parts(lf, sound);
    expect(found).toMatchObject({ wheel: 'lf', kind });
    expect(more).toEqual([]);
  });

  it('takes a mirrored car for the mirrored part', () => {
    expect(parts(sound, { camber: -2.4, sai: 13 })).toMatchObject([{ wheel: 'rf' }]);
  });

  it('leaves sides that differ a little alone, and what has no inclination', () => {
    expect(parts({ camber: -0.6, sai: 13.3 }, sound)).toEqual([]);
    expect(parts({ camber: -3 }, sound)).toEqual([]);
  });

  it('goes by the sheet where it knows the inclination', () => {
    const sheet = {
      ...startingSheet(STARTING_POINTS[0]!, ENGLISH_SCREENS.measure.startingPoints),
      sai: { front: { low: 12.5, high: 13.5 } },
    };
    const used = { sheetId: null, revision: null, enteredBy: null, enteredAt: null, sheet };
    const bent = { camber: -2.4, sai: 13 };
    const found = bentParts({ angles: { lf: bent, rf: bent }, visit: { sheet: used } });
    expect(found.map(({ wheel }) => wheel)).toEqual(['lf', 'rf']);
    expect(found[0]!.against).toBe('sheet');
  });

  it('finds a rack off its middle by the full locks', () => {
    const said = (left: number, right: number) =>
      whatAnglesMean(
        [],
        { visit: { measure: { lock: { left, right } } } },
        ENGLISH_SCREENS.measure,
      );
    expect(said(38, 34)).toEqual([
      'It turns 4.0° further to the left: the rack is off centre. Centre it before the rods are turned, and set the steering wheel after.',
    ]);
    expect(said(36, 35)).toEqual([]);
  });

  it('says nothing of a figure that must be measured again', () => {
    const draft = { angles: { lf: { toe: 0.4 }, rf: { toe: 0.4 } } };
    const rows = angleLedger(draft);
    expect(whatAnglesMean(rows, draft, ENGLISH_SCREENS.measure).join()).toMatch(/both tires scrub/);
    const stale = rows.map((row) => ({ ...row, state: 'stale' as const }));
    expect(whatAnglesMean(stale, draft, ENGLISH_SCREENS.measure)).toEqual([]);
  });
});
