import fc from 'fast-check';
import { vec3 } from 'gl-matrix';
import { describe, expect, it } from 'vitest';
import { axleSquare } from './axleSquare.ts';

const RAD = Math.PI / 180;

describe('axleSquare', () => {
  it('heads to the side that is shorter', () => {
    // 10 mm over 1500 mm: 0.382 degrees.
    expect(axleSquare({ left: 2_660, right: 2_650, track: 1_500 }).angle).toBeCloseTo(-0.382, 3);
    expect(axleSquare({ left: 2_650, right: 2_660, track: 1_500 })).toMatchObject({
      difference: 10,
    });
  });

  it('is the heading of an axle turned by that angle', () => {
    fc.assert(
      fc.property(fc.double({ min: -5, max: 5, noNaN: true }), (angle) => {
        // To the right is clockwise from above: the left end goes forward, its wheelbase shortens.
        const turned = (x: number) =>
          vec3.rotateZ(vec3.create(), [x, -2_650, 0], [0, -2_650, 0], -angle * RAD);
        const [left, right] = [turned(-750), turned(750)];
        const found = axleSquare({
          left: -left[1],
          right: -right[1],
          track: right[0] - left[0],
        });
        expect(found.angle).toBeCloseTo(angle, 3);
      }),
    );
  });
});
