import { describe, expect, it } from 'vitest';
import { exampleCase } from '../../../tests/exampleCase.ts';
import { healthyState, STATE } from '../../engine/wear/state.ts';
import { explainedWear } from './explainedWear.ts';

const file = exampleCase();
const healthy = () => Array.from(healthyState([-0.375, -0.75], [0.1, 0.15]));

describe('explainedWear', () => {
  it('explains all of it where the car has stood as it was measured', () => {
    const was = healthy();
    was[STATE.camber] = -2.5;
    was[STATE.toe] = 0.7;
    const angles = { lf: { camber: -2.5, toe: 0.35 }, rf: { camber: -0.375, toe: 0.35 } };
    const found = explainedWear(file, was, angles)!;
    expect(found.excess).toBeGreaterThan(1);
    expect(found.byAngles / found.excess).toBeCloseTo(1, 6);
    expect(found.leftOver).toEqual([]);
  });

  it('leaves loose joints over where the toe reads well today', () => {
    const was = healthy();
    was[STATE.looseness] = 0.5;
    const found = explainedWear(file, was, { lf: { toe: 0.05 }, rf: { toe: 0.05 } })!;
    expect(found.byAngles / found.excess).toBeCloseTo(0, 6);
    expect(found.leftOver.map(({ cause }) => cause)).toEqual(['play']);
    expect(found.leftOver[0]!.mm).toBeCloseTo(found.excess, 6);
  });

  it('leaves angles of the past over where they are right today', () => {
    const was = healthy();
    was[STATE.toe] = 0.9;
    const found = explainedWear(file, was, { lf: { toe: 0.05 }, rf: { toe: 0.05 } })!;
    expect(found.leftOver.map(({ cause }) => cause)).toEqual(['past']);
  });

  it('has nothing to say of a car that wore well, or without angles', () => {
    expect(explainedWear(file, healthy(), { lf: { camber: -0.4 } })).toBeNull();
    const was = healthy();
    was[STATE.toe] = 0.9;
    expect(explainedWear(file, was, {})).toBeNull();
  });
});
