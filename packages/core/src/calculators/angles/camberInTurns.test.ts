import fc from 'fast-check';
import { mat4, quat, vec3 } from 'gl-matrix';
import { describe, expect, it } from 'vitest';
import { camberInTurns } from './camberInTurns.ts';

const RAD = Math.PI / 180;

describe('camberInTurns', () => {
  const wheel = { camber: -2.25, caster: 8, sai: 13 };

  it('is about +2.3 inside at 24 degrees with caster 8 and camber -2.25 (common practice, no source)', () => {
    const { camber } = camberInTurns({
      left: wheel,
      right: wheel,
      turning: 'left',
      inside: 24,
      outside: 20,
    });
    expect(Math.abs(camber.left - 2.3)).toBeLessThan(0.2);
    expect(camber.right).toBeLessThan(-3.5);
  });

  it('is the mirror image turning the other way', () => {
    const other = { camber: -1, caster: 5, sai: 12 };
    const turned = (left: typeof wheel, right: typeof wheel, turning: 'left' | 'right') =>
      camberInTurns({ left, right, turning, inside: 30, outside: 25, radius: 310, scrub: 12 });
    const one = turned(wheel, other, 'left');
    const mirrored = turned(other, wheel, 'right');
    expect(mirrored.camber).toEqual({ left: one.camber.right, right: one.camber.left });
    expect(mirrored.rise).toEqual(one.rise);
  });

  it('turns the steering wheel by the mean of both wheels times the ratio', () => {
    const found = camberInTurns({
      left: wheel,
      right: wheel,
      turning: 'right',
      inside: 24,
      outside: 21,
      steeringRatio: 16,
    });
    expect(found.steeringWheelTurns).toBeCloseTo(1, 9);
    expect(found.rise).toBeNull();
  });

  it('raises the inside corner by as much as a wheel turned by a matrix stands lower', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 10, noNaN: true }),
        fc.double({ min: 5, max: 16, noNaN: true }),
        fc.double({ min: -20, max: 60, noNaN: true }),
        (caster, sai, scrub) => {
          const radius = 320;
          const found = camberInTurns({
            left: { camber: 0, caster, sai },
            right: { camber: 0, caster, sai },
            turning: 'left',
            inside: 20,
            outside: 20,
            radius,
            scrub,
          });
          // The left wheel as a circle of points, turned about its axis by a matrix: the lowest one.
          const axis = vec3.fromValues(-Math.tan(caster * RAD), -Math.tan(sai * RAD), 1);
          vec3.normalize(axis, axis);
          const turn = mat4.fromQuat(
            mat4.create(),
            quat.setAxisAngle(quat.create(), axis, 20 * RAD),
          );
          const lowest = Math.min(
            ...Array.from({ length: 3_600 }, (_, i) => {
              const at = (i / 3_600) * 2 * Math.PI;
              const point = vec3.fromValues(
                -radius * Math.tan(caster * RAD) + radius * Math.sin(at),
                scrub,
                radius - radius * Math.cos(at),
              );
              return vec3.transformMat4(point, point, turn)[2];
            }),
          );
          expect(found.rise!.inside).toBeCloseTo(-lowest, 0);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('raises the inside corner by about a centimetre with much caster (common practice, no source)', () => {
    const { rise } = camberInTurns({
      left: wheel,
      right: wheel,
      turning: 'left',
      inside: 35,
      outside: 29,
      radius: 320,
      scrub: 25,
    });
    expect(rise!.inside).toBeGreaterThan(6);
    expect(rise!.inside).toBeLessThan(20);
    expect(rise!.outside).toBeLessThan(rise!.inside);
  });
});
