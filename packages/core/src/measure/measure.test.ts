import { describe, expect, it } from 'vitest';
import type { Angles } from './angleLedger.ts';
import { angleLedger, whatAnglesMean } from './angleLedger.ts';
import { METHOD_FACTS, methodsFor, standardUncertainty } from './methods.ts';
import { setupDoubts, setupList } from './setupList.ts';

const straight: Angles = {
  lf: { camber: -0.4, toe: 0.05 },
  rf: { camber: -0.4, toe: 0.05 },
  lr: { camber: -0.8, toe: 0.08 },
  rr: { camber: -0.8, toe: 0.08 },
};
const row = (angles: Angles, key: string, method = {}) =>
  angleLedger(angles, undefined, method).find((one) => one.key === key);

describe('standardUncertainty', () => {
  it('adds method, resolution and repeats as squares (JCGM 100:2008)', () => {
    expect(standardUncertainty({ methodSd: 0.03 })).toBeCloseTo(0.03, 12);
    expect(standardUncertainty({ methodSd: 0.03, resolution: 0.1 })).toBeCloseTo(
      Math.hypot(0.03, 0.1 / Math.sqrt(12)),
      12,
    );
    // Three readings with a standard deviation of 0.1: 0.1 / sqrt 3.
    expect(standardUncertainty({ methodSd: 0, repeats: [0.4, 0.5, 0.6] })).toBeCloseTo(
      0.1 / Math.sqrt(3),
      12,
    );
    expect(standardUncertainty({ methodSd: 0.03, repeats: [0.4] })).toBeCloseTo(0.03, 12);
  });
});

describe('angleLedger', () => {
  it('finds an ordinary car in, and derives what it can', () => {
    const rows = angleLedger(straight, undefined);
    expect(rows.filter(({ limits }) => limits).every(({ state }) => state === 'in')).toBe(true);
    expect(row(straight, 'totalToe.front')).toMatchObject({ value: 0.1, limitsFrom: 'usual' });
    expect(row(straight, 'thrust')!.value).toBeCloseTo(0, 12);
    expect(row(straight, 'crossCamber')!.value).toBeCloseTo(0, 12);
  });

  it('counts derived doubt as the root of the squares', () => {
    const { toe } = METHOD_FACTS.readout.sd;
    expect(row(straight, 'totalToe.rear')!.sd).toBeCloseTo(toe! * Math.SQRT2, 12);
    expect(row(straight, 'thrust')!.sd).toBeCloseTo(toe! / Math.SQRT2, 12);
  });

  it('says when a method cannot tell in from out', () => {
    const near = { ...straight, lf: { camber: -1.4, toe: 0.05 } };
    expect(row(near, 'camber.lf', { camber: 'readout' })!.state).toBe('out');
    expect(row(near, 'camber.lf', { camber: 'level' })!.state).toBe('tooClose');
  });

  it('takes the limits of the sheet before the usual ones', () => {
    const tolerances = { camber: { front: [-2, -1] as [number, number] } };
    const rows = angleLedger(straight, tolerances);
    const camber = rows.find(({ key }) => key === 'camber.lf');
    expect(camber).toMatchObject({ limits: [-2, -1], limitsFrom: 'sheet', state: 'out' });
  });

  it('tells no toe of a wheel and no thrust by tape', () => {
    expect(row(straight, 'toe.lf', { toe: 'tape' })).toBeUndefined();
    expect(row(straight, 'thrust', { toe: 'tape' })).toBeUndefined();
    expect(row(straight, 'totalToe.front', { toe: 'tape' })).toBeDefined();
  });

  it('has no row for what was not measured', () => {
    expect(angleLedger({}, undefined)).toEqual([]);
  });
});

describe('whatAnglesMean', () => {
  const said = (change: Angles) =>
    whatAnglesMean(angleLedger({ ...straight, ...change }, undefined));

  it('has nothing to say of a car in tolerance', () => {
    expect(said({})).toEqual([]);
  });

  it('drifts to the more positive camber and to less caster (common practice, no source)', () => {
    expect(said({ lf: { camber: 0.4, toe: 0.05 } }).join()).toMatch(/drifts to the left/);
    expect(said({ rf: { camber: 0.4, toe: 0.05 } }).join()).toMatch(/drifts to the right/);
    const casters = { lf: { caster: 5 }, rf: { caster: 3 } };
    expect(whatAnglesMean(angleLedger(casters, undefined)).join()).toMatch(/drifts to the right/);
  });

  it('sends a crabbing rear axle first', () => {
    expect(said({ lr: { toe: 0.4 }, rr: { toe: -0.2 } }).join()).toMatch(
      /Thrust of 0\.30° to the right: the steering wheel stands off to the right\. The rear axle comes first/,
    );
  });
});

describe('setupList', () => {
  it('asks only what the method needs', () => {
    expect(setupList(['tape']).map(({ point }) => point)).not.toContain('clamps');
    expect(setupList(['readout']).map(({ point }) => point)).toContain('clamps');
    expect(methodsFor('caster')).toEqual(['readout', 'swing']);
  });

  it('says what a skipped point makes of the reading', () => {
    expect(setupDoubts(['level'], { floor: 'skipped', settled: 'done' })).toEqual([
      'Skipped: floor level, or its slope known; a floor that slopes reads as camber, left against right.',
    ]);
  });
});
