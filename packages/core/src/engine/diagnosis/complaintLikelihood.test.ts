import { COMPLAINTS } from '@keen/contract/words';
import { describe, expect, it } from 'vitest';
import { healthyState, STATE } from '../wear/state.ts';
import { complaintChance } from './complaintLikelihood.ts';

function stateWith(change: (state: Float64Array) => void = () => undefined): Float64Array {
  const state = healthyState([-0.4, -0.75], [0.1, 0.15]);
  change(state);
  return state;
}

describe('complaintChance', () => {
  const ranges = [
    [-0.1, 0.3],
    [-0.1, 0.4],
  ] as const;
  const chance = (
    complaint: Parameters<typeof complaintChance>[0],
    change: (state: Float64Array) => void,
  ) => complaintChance(complaint, stateWith(change), ranges);

  it('pulls to the side with the more positive camber', () => {
    const leftMorePositive = (state: Float64Array) => (state[STATE.camber] = 1.5);
    expect(chance('pullsLeft', leftMorePositive)).toBeGreaterThan(
      chance('pullsRight', leftMorePositive) + 0.2,
    );
  });

  it('pulls to the side with the softer tire', () => {
    const leftSoft = (state: Float64Array) => (state[STATE.pressure] = 0.7);
    expect(chance('pullsLeft', leftSoft)).toBeGreaterThan(chance('pullsRight', leftSoft) + 0.15);
  });

  it('hears of bounce, play and soft front tires', () => {
    const calm = () => undefined;
    expect(chance('vibration', (s) => (s[STATE.bounce + 3] = 1))).toBeGreaterThan(
      chance('vibration', calm) * 4,
    );
    expect(chance('noise', (s) => (s[STATE.bounce] = 1))).toBeGreaterThan(
      chance('noise', calm) * 4,
    );
    expect(chance('wander', (s) => (s[STATE.looseness + 1] = 0.4))).toBeGreaterThan(
      chance('wander', calm) * 4,
    );
    expect(
      chance('heavySteering', (s) => {
        s[STATE.pressure] = 0.7;
        s[STATE.pressure + 1] = 0.7;
      }),
    ).toBeGreaterThan(chance('heavySteering', calm));
    expect(chance('wheelOffLeft', (s) => (s[STATE.toe] = 1))).toBeGreaterThan(
      chance('wheelOffLeft', calm),
    );
  });

  it('pulls to the side with less caster, from half a degree on', () => {
    const pulls = (crossCasterDeg: number) =>
      complaintChance('pullsLeft', stateWith(), ranges, { crossCasterDeg, other: 0.03 });
    expect(pulls(-1)).toBeGreaterThan(pulls(0) + 0.2);
    expect(pulls(-0.3)).toBeLessThan(pulls(0) + 0.02);
    expect(pulls(1)).toBeCloseTo(pulls(0), 3);
  });

  it('stays a chance however much speaks for it', () => {
    const everything = stateWith((state) => {
      state[STATE.camber] = 6;
      state[STATE.camber + 1] = -6;
      state[STATE.pressure] = 0.4;
      state[STATE.pressure + 1] = 1.5;
      state[STATE.looseness] = 2;
      state[STATE.bounce] = 1;
      state[STATE.toe] = 5;
      state[STATE.toe + 1] = -5;
    });
    for (const complaint of COMPLAINTS) {
      const known = { crossCasterDeg: -8, other: 0.3 };
      const chance = complaintChance(complaint, everything, ranges, known);
      expect(chance, complaint).toBeGreaterThan(0);
      expect(chance, complaint).toBeLessThan(1);
    }
  });
});
