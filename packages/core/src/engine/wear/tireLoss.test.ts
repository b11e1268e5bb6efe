import { describe, expect, it } from 'vitest';
import type { Drive } from '@keen/contract/words';
import { healthyState, STATE } from './state.ts';
import { tirePath } from './paths.ts';
import { pressureRate, tireLoss } from './tireLoss.ts';

/** Anchors of the trade: common practice, no published source, unless a line says otherwise. */

function neutral(): Float64Array {
  return healthyState([0, 0], [0, 0]);
}

function lossOf(state: Float64Array, wheel = 0, drive: Drive = 'fwd', megametres = 10) {
  const out = new Float64Array(3);
  tireLoss(state, tirePath(wheel, [wheel], [megametres], drive), out);
  const [inner, centre, outer] = out as unknown as [number, number, number];
  return { inner, centre, outer, mean: (inner + centre + outer) / 3, worst: Math.max(...out) };
}

function withState(change: (state: Float64Array) => void): Float64Array {
  const state = neutral();
  change(state);
  return state;
}

describe('tireLoss, anchors', () => {
  it('wears a healthy front-drive car about 1 mm in 10,000 km in front, 0.6 of that behind', () => {
    expect(lossOf(neutral(), 0).mean).toBeCloseTo(1, 2);
    expect(lossOf(neutral(), 2).mean / lossOf(neutral(), 0).mean).toBeCloseTo(0.6, 1);
  });

  it('wears the shoulders about 1.35 times the centre at 20 % low, life down about a quarter', () => {
    // As recalled from memory of tire makers' advice.
    const low = lossOf(withState((state) => (state[STATE.pressure] = 0.8)));
    expect(low.outer / low.centre).toBeGreaterThan(1.28);
    expect(low.outer / low.centre).toBeLessThan(1.42);
    expect(1 - lossOf(neutral()).worst / low.worst).toBeCloseTo(0.25, 1);
  });

  it('wears the centre about 1.3 times the shoulders at 20 % high, life down about a tenth', () => {
    // As recalled from memory of tire makers' advice.
    const high = lossOf(withState((state) => (state[STATE.pressure] = 1.2)));
    expect(high.centre / high.outer).toBeGreaterThan(1.25);
    expect(high.centre / high.outer).toBeLessThan(1.38);
    expect(1 - lossOf(neutral()).worst / high.worst).toBeCloseTo(0.1, 1);
  });

  it('carries the pressure factors 1.22 and 0.94 on the whole rate', () => {
    expect(pressureRate(0.8)).toBeCloseTo(1.22, 6);
    expect(pressureRate(1.2)).toBeCloseTo(0.94, 6);
    expect(pressureRate(1)).toBe(1);
  });

  it('wears about half more with 0.25 degrees of toe on each front wheel', () => {
    const toe = lossOf(withState((state) => (state[STATE.toe] = 0.5)));
    expect(toe.mean / lossOf(neutral()).mean).toBeGreaterThan(1.4);
    expect(toe.mean / lossOf(neutral()).mean).toBeLessThan(1.6);
  });

  it('wears about threefold with 0.5 degrees on each wheel, the loaded edge 1.6 times the other', () => {
    const toe = lossOf(withState((state) => (state[STATE.toe] = 1)));
    expect(toe.outer / toe.inner).toBeCloseTo(1.6, 1);
    expect(toe.mean / lossOf(neutral()).mean).toBeGreaterThan(2.7);
    expect(toe.mean / lossOf(neutral()).mean).toBeLessThan(3.4);
  });

  it('wears the loaded side about 1.7 times the other with 2 degrees of camber, the mean a tenth more', () => {
    const camber = lossOf(withState((state) => (state[STATE.camber] = -2)));
    expect(camber.inner / camber.outer).toBeCloseTo(1.7, 1);
    expect(camber.mean / lossOf(neutral()).mean).toBeCloseTo(1.1, 1);
  });
});

describe('tireLoss, signs', () => {
  // ISO 8855 and SAE J670, recalled: camber + top outward, static toe + front inward, either side.
  it('loads the side the top leans to: positive camber the outer rib, negative the inner', () => {
    for (const wheel of [0, 1, 2, 3]) {
      const at = (camber: number) =>
        lossOf(
          withState((state) => (state[STATE.camber + wheel] = camber)),
          wheel,
        );
      expect(at(2).outer).toBeGreaterThan(at(2).inner);
      expect(at(-2).inner).toBeGreaterThan(at(-2).outer);
    }
  });

  it('wears the outer edges with toe-in and the inner ones with toe-out, on both sides', () => {
    for (const wheel of [0, 1]) {
      const at = (toe: number) =>
        lossOf(
          withState((state) => (state[STATE.toe] = toe)),
          wheel,
        );
      expect(at(0.8).outer).toBeGreaterThan(at(0.8).inner);
      expect(at(-0.8).inner).toBeGreaterThan(at(-0.8).outer);
    }
  });

  it('wears left tires outward and right ones inward by handed driving', () => {
    const state = withState((s) => (s[STATE.hand] = 0.1));
    expect(lossOf(state, 0).outer).toBeGreaterThan(lossOf(state, 0).inner);
    expect(lossOf(state, 1).inner).toBeGreaterThan(lossOf(state, 1).outer);
  });
});

describe('tireLoss, shape', () => {
  it('tells toe from camber by the centre: camber leaves it near the far edge', () => {
    const camber = lossOf(withState((state) => (state[STATE.camber] = -2.5)));
    const toe = lossOf(withState((state) => (state[STATE.toe] = -1)));
    const position = ({ inner, centre, outer }: typeof camber) =>
      (centre - outer) / (inner - outer);
    expect(position(camber)).toBeLessThan(0.4);
    expect(position(toe)).toBeGreaterThan(position(camber));
  });

  it('shares an axle’s toe between its tires and keeps camber to its own', () => {
    const state = withState((s) => {
      s[STATE.toe] = 0.6;
      s[STATE.camber] = -2;
    });
    expect(lossOf(state, 1).outer).toBeGreaterThan(lossOf(neutral(), 1).outer * 1.3);
    const camberOnly = withState((s) => (s[STATE.camber] = -2));
    expect(lossOf(camberOnly, 1)).toEqual(lossOf(neutral(), 1));
  });

  it('adds the mean square of loose joints to that of toe', () => {
    const loose = lossOf(withState((state) => (state[STATE.looseness] = 0.3)));
    const slip = 0.34 ** 2;
    expect(loose.mean / lossOf(neutral()).mean).toBeCloseTo((slip + 0.09) / slip, 9);
    expect(loose.inner).toBeCloseTo(loose.outer, 12);
  });

  it('wears in proportion to distance and adds up over the places a tire has had', () => {
    const state = withState((s) => (s[STATE.toe] = 0.8));
    const out = new Float64Array(3);
    tireLoss(state, tirePath(0, [2, 0], [4, 6], 'fwd'), out);
    const rear = lossOf(state, 2, 'fwd', 4);
    const front = lossOf(state, 0, 'fwd', 6);
    expect(out[2]).toBeCloseTo(rear.outer + front.outer, 12);
  });

  it('never turns negative, however far things are out', () => {
    const state = withState((s) => {
      s[STATE.camber] = -12;
      s[STATE.toe] = 6;
      s[STATE.pressure] = 0.3;
      s[STATE.cornering] = 6;
    });
    expect(Math.min(...Object.values(lossOf(state)))).toBeGreaterThan(0);
  });
});
