import { describe, expect, it } from 'vitest';
import type { CaseFile } from '@keen/contract';
import { exampleCase } from '../../../tests/exampleCase.ts';
import { resolveCase } from '../../engine/case/resolveCase.ts';
import { STATE } from '../../engine/wear/state.ts';
import { createFaultClassifier, FAULT_COUNT } from '../../engine/diagnosis/classifyFaults.ts';
import { checkAnswers, nextChecks } from '../../engine/diagnosis/nextChecks.ts';
import type { Draw } from '../../engine/diagnosis/nextChecks.ts';
import { createPosterior } from '../../engine/diagnosis/posterior.ts';

/** Draws of which a half are so and a half otherwise, in one unknown. */
function checksFor(
  change: (state: Float64Array) => void,
  file: (file: CaseFile) => void = () => undefined,
) {
  const resolved = resolveCase(exampleCase(file));
  const posterior = createPosterior(resolved);
  const read = createFaultClassifier(resolved);
  const draws: Draw[] = Array.from({ length: 200 }, (_, i) => {
    const state = posterior.healthy.slice();
    if (i % 2 === 0) change(state);
    const faults = new Uint8Array(FAULT_COUNT);
    read(state, faults);
    return { state, faults, factors: new Float64Array(12).fill(1), lossMm: new Float64Array(12) };
  });
  return nextChecks(checkAnswers(resolved, posterior, draws), draws);
}

const gainOf = (checks: ReturnType<typeof checksFor>, check: string, where: string) =>
  checks.find((one) => one.check === check && one.where === where)?.gain ?? 0;

describe('nextChecks', () => {
  it('has nothing to ask when nothing is in doubt', () => {
    expect(checksFor(() => undefined)).toEqual([]);
  });

  it('gains nearly the whole bit from measuring an angle that is plainly out or in', () => {
    const checks = checksFor((state) => (state[STATE.toe] = 1));
    expect(gainOf(checks, 'measureAngles', 'front')).toBeGreaterThan(0.95);
    expect(gainOf(checks, 'measureAngles', 'front')).toBeLessThanOrEqual(1 + 1e-9);
    expect(gainOf(checks, 'measureAngles', 'rear')).toBe(0);
  });

  it('gains from the hand what the feather tells', () => {
    const checks = checksFor((state) => (state[STATE.toe] = 1.2));
    expect(gainOf(checks, 'feelFeather', 'lf')).toBeGreaterThan(0.4);
    expect(gainOf(checks, 'feelFeather', 'lr')).toBe(0);
  });

  it('asks for play, waves and pressure where those are in doubt', () => {
    expect(
      gainOf(
        checksFor((s) => (s[STATE.looseness + 1] = 0.5)),
        'checkPlay',
        'rear',
      ),
    ).toBeGreaterThan(0.2);
    expect(
      gainOf(
        checksFor((s) => (s[STATE.bounce + 2] = 1)),
        'feelWaves',
        'lr',
      ),
    ).toBeGreaterThan(0.4);
    expect(
      gainOf(
        checksFor((s) => (s[STATE.pressure + 3] = 0.7)),
        'checkPressure',
        'rr',
      ),
    ).toBeGreaterThan(0.9);
    expect(
      gainOf(
        checksFor((s) => (s[STATE.looseness] = 0.5)),
        'swingRepeat',
        'front',
      ),
    ).toBeGreaterThan(0.2);
  });

  it('asks for a rib that was not read, never for one that was', () => {
    const unread = (file: CaseFile) => {
      file.tires.lf.stations = [{ inner: null, centre: 5, outer: 5 }];
    };
    expect(
      gainOf(
        checksFor((s) => (s[STATE.camber] = -4), unread),
        'readRib',
        'lf',
      ),
    ).toBeGreaterThan(0.3);
    expect(
      gainOf(
        checksFor((s) => (s[STATE.camber] = -4)),
        'readRib',
        'lf',
      ),
    ).toBe(0);
  });

  it('does not ask again what was answered', () => {
    const answered = (file: CaseFile) => {
      file.play = { lf: 'none', rf: 'none' };
      for (const tire of Object.values(file.tires)) tire.feather = 'none';
    };
    const checks = checksFor((s) => (s[STATE.looseness] = 0.5), answered);
    expect(checks.map(({ check }) => check)).not.toContain('feelFeather');
    expect(gainOf(checks, 'checkPlay', 'front')).toBe(0);
  });
});
