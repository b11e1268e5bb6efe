import fc from 'fast-check';
import { vec3 } from 'gl-matrix';
import { describe, expect, it } from 'vitest';
import { twoCams } from './twoCams.ts';

const RAD = Math.PI / 180;

describe('twoCams', () => {
  const arm = { camSpacing: 300, armLength: 350, armHeight: 250, offset: 6 };

  it('turns both the same way for camber alone, against one another for caster alone', () => {
    const camber = twoCams({ ...arm, camberChange: -0.5, casterChange: 0 });
    expect(camber.front).toEqual(camber.rear);
    // 250 tan 0.5 degrees = 2.18 mm out; asin(2.18 / 6) = 21.3 degrees.
    expect(camber.front.moves).toBeCloseTo(2.182, 3);
    expect(camber.front.turn).toBeCloseTo(21.3, 1);
    const caster = twoCams({ ...arm, camberChange: 0, casterChange: 0.5 });
    expect(caster.front.moves).toBeCloseTo(-caster.rear.moves, 9);
    expect(caster.rear.moves).toBeGreaterThan(0);
  });

  it('puts the lower joint where a turned arm has it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        (camberChange, casterChange) => {
          const { front, rear } = twoCams({ ...arm, camberChange, casterChange });
          // Ends of the arm moved out, the joint square to their middle at the arm's length, from above.
          const ends = [vec3.fromValues(front.moves, 150, 0), vec3.fromValues(rear.moves, -150, 0)];
          const middle = vec3.lerp(vec3.create(), ends[0]!, ends[1]!, 0.5);
          const along = vec3.sub(vec3.create(), ends[0]!, ends[1]!);
          vec3.normalize(along, along);
          const joint = vec3.scaleAndAdd(
            vec3.create(),
            middle,
            vec3.rotateZ(vec3.create(), along, [0, 0, 0], -Math.PI / 2),
            arm.armLength,
          );
          const out = joint[0] - arm.armLength;
          // The arm's swing draws the joint in by a hair, which the small-angle form leaves out.
          const camber = -Math.atan(out / arm.armHeight) / RAD;
          expect(Math.abs(camber - camberChange)).toBeLessThan(0.02);
          const caster = Math.atan(joint[1] / arm.armHeight) / RAD;
          expect(Math.abs(caster - casterChange)).toBeLessThan(0.02);
        },
      ),
    );
  });

  it('says which cam does not reach', () => {
    const found = twoCams({ ...arm, camberChange: -1, casterChange: -1.5 });
    expect(found.front.reachable).toBe(false);
    expect(found.front.turn).toBe(90);
  });
});
