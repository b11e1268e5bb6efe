import { describe, expect, it } from 'vitest';
import type { CaseFile } from '@keen/contract';
import { exampleCase } from '../../../tests/exampleCase.ts';
import { resolveCase } from '../case/resolveCase.ts';
import { healthyState, STATE } from '../wear/state.ts';
import {
  createObservationTerms,
  featherChances,
  featherPath,
  playChances,
  waveChances,
} from './observationLikelihood.ts';

function stateWith(change: (state: Float64Array) => void): Float64Array {
  const state = healthyState([-0.4, -0.75], [0.1, 0.15]);
  change(state);
  return state;
}

function felt(totalToe: number): { none: number; outward: number; inward: number } {
  const out = new Float64Array(3);
  featherChances(
    stateWith((state) => (state[STATE.toe] = totalToe)),
    { front: 1, rear: 0 },
    'fwd',
    out,
  );
  const [none, outward, inward] = out as unknown as [number, number, number];
  return { none, outward, inward };
}

function evidence(change: (file: CaseFile) => void, state: Float64Array): number {
  const terms = createObservationTerms(resolveCase(exampleCase(change)));
  return terms.reduce((sum, { log }) => sum + log(state), 0);
}

describe('featherChances', () => {
  it('are chances', () => {
    for (const toe of [-2, -0.3, 0, 0.3, 2]) {
      const { none, outward, inward } = felt(toe);
      expect(none + outward + inward).toBeCloseTo(1, 1);
      expect(Math.min(none, outward, inward)).toBeGreaterThan(0);
    }
  });

  it('make a feather plain when a wheel’s toe is clearly above half the driving slip', () => {
    // Front of a front-wheel-drive car: 0.34 degrees, so 0.17 on one wheel, 0.34 in total.
    expect(felt(0.34).outward).toBeCloseTo(0.5, 1);
    expect(felt(1).outward).toBeGreaterThan(0.9);
    expect(felt(-1).inward).toBeGreaterThan(0.9);
    expect(felt(0).none).toBeGreaterThan(0.85);
  });

  it('leave one in twelve misfelt or of a toe that is new, however plain', () => {
    expect(felt(3).outward).toBeCloseTo(0.92, 2);
  });

  it('mirror between toe-in and toe-out', () => {
    expect(felt(0.5).outward).toBeCloseTo(felt(-0.5).inward, 12);
  });
});

describe('featherPath', () => {
  const afterRotation = (km: number) =>
    featherPath(
      resolveCase(
        exampleCase((file) => {
          file.rotations = [
            { atDistance: 30_000 - km, moves: { lf: 'lr', lr: 'lf', rf: 'rr', rr: 'rf' } },
          ];
        }),
      ),
      0,
    );

  it('fades over some 4,000 km after a rotation', () => {
    expect(afterRotation(4_000).front).toBeCloseTo(1 - Math.exp(-1), 2);
    expect(afterRotation(100).rear).toBeGreaterThan(0.95);
    expect(afterRotation(25_000).front).toBeGreaterThan(0.99);
  });

  it('is all of one axle without rotations', () => {
    expect(featherPath(resolveCase(exampleCase()), 2)).toEqual({ front: 0, rear: 1 });
  });
});

describe('play and waves', () => {
  it('a loose axle shows play on at least one wheel seven times in ten', () => {
    const [none] = playChances(true);
    expect(1 - none ** 2).toBeCloseTo(0.7, 12);
  });

  it('are chances that add up to one', () => {
    for (const chances of [
      playChances(true),
      playChances(false),
      waveChances(true),
      waveChances(false),
    ]) {
      expect(chances.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 12);
    }
  });

  it('play found makes looseness likelier, none found less', () => {
    const loose = stateWith((state) => (state[STATE.looseness] = 0.3));
    const tight = stateWith(() => undefined);
    const ratio = (play: 'none' | 'some' | 'excessive') =>
      evidence((file) => (file.play = { lf: play }), loose) -
      evidence((file) => (file.play = { lf: play }), tight);
    expect(ratio('excessive')).toBeGreaterThan(ratio('some'));
    expect(ratio('some')).toBeGreaterThan(0);
    expect(ratio('none')).toBeLessThan(0);
  });
});

describe('gauge and rig', () => {
  const pressureAt = (ratio: number) =>
    evidence(
      (file) => (file.tires.lf.pressure = { measured: 207, target: 230 }),
      stateWith((state) => (state[STATE.pressure] = ratio)),
    );

  it('draw the running pressure to what was found, with a tail', () => {
    expect(pressureAt(0.9)).toBeGreaterThan(pressureAt(1));
    // One in ten is off by more: far away the density falls as the wide normal, not the narrow one.
    const narrow = -0.5 * (0.3 / 0.05) ** 2;
    expect(pressureAt(1.2) - pressureAt(0.9)).toBeGreaterThan(narrow / 2);
  });

  it('take the total toe from both wheels, and less surely from one', () => {
    const toeAt = (change: (file: CaseFile) => void, toe: number) =>
      evidence(
        change,
        stateWith((state) => (state[STATE.toe] = toe)),
      );
    const both = (file: CaseFile) => (file.angles = { lf: { toe: 0.3 }, rf: { toe: 0.3 } });
    const one = (file: CaseFile) => (file.angles = { lf: { toe: 0.3 } });
    const drop = (change: (file: CaseFile) => void) => toeAt(change, 0.6) - toeAt(change, 0.3);
    expect(drop(both)).toBeGreaterThan(drop(one));
    expect(drop(one)).toBeGreaterThan(0);
  });

  it('cost nothing when nothing was observed', () => {
    expect(
      evidence(
        () => undefined,
        stateWith((state) => (state[STATE.camber] = -5)),
      ),
    ).toBe(0);
  });
});

describe('complaints', () => {
  it('counts silence only where the customer was asked', () => {
    const bouncing = stateWith((state) => (state[STATE.bounce] = 1));
    expect(evidence(() => undefined, bouncing)).toBe(0);
    const asked = (file: CaseFile) => (file.complaints = []);
    expect(evidence(asked, bouncing)).toBeLessThan(
      evidence(
        asked,
        stateWith(() => undefined),
      ),
    );
  });
});
