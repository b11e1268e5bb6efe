import fc from 'fast-check';
import { vec2 } from 'gl-matrix';
import { describe, expect, it } from 'vitest';
import { toeFromFlags } from './toeFromFlags.ts';

const RAD = Math.PI / 180;
const car = { distance: 2_600, beam: 120, track: { front: 1_520, rear: 1_500 } };

describe('toeFromFlags', () => {
  it('is nothing where the beam stands out as far as the tracks differ', () => {
    const { toe, totalToe } = toeFromFlags({ ...car, flags: { left: 130, right: 130 } });
    expect(toe).toEqual({ left: 0, right: 0 });
    expect(totalToe).toBe(0);
  });

  it('is atan(9 / 2600), 0.198 degrees, for 9 mm further out at the left flag', () => {
    const { toe } = toeFromFlags({ ...car, flags: { left: 139, right: 130 } });
    expect(toe.left).toBeCloseTo(0.198, 3);
    expect(toe.right).toBe(0);
  });

  it('finds again what a turned beam was turned by', () => {
    fc.assert(
      fc.property(fc.double({ min: -3, max: 3, noNaN: true }), (degrees) => {
        // The left beam from above: x out from the middle, y back. Toe-in swings its rear end out.
        const start = vec2.fromValues(car.track.front / 2 + car.beam, 0);
        const along = vec2.rotate(vec2.create(), [0, 1], [0, 0], -degrees * RAD);
        const meets = vec2.scaleAndAdd(vec2.create(), start, along, car.distance / along[1]);
        const flag = meets[0] - car.track.rear / 2;
        const found = toeFromFlags({ ...car, flags: { left: flag, right: 130 } });
        expect(found.toe.left).toBeCloseTo(degrees, 3);
      }),
    );
  });
});
