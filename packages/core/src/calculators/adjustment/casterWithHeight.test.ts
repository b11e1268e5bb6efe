import fc from 'fast-check';
import { vec2 } from 'gl-matrix';
import { describe, expect, it } from 'vitest';
import { casterWithHeight } from './casterWithHeight.ts';

const RAD = Math.PI / 180;
const strut = { caster: 5, height: 640, upper: 'strut' } as const;

describe('casterWithHeight', () => {
  it('grows on a lowered strut, by hand: 640 tan 5 = 55.99 over 610 is 5.2446 degrees', () => {
    const { caster, casterChange } = casterWithHeight({ ...strut, change: -30 });
    expect(caster).toBeCloseTo(5.2446, 4);
    expect(casterChange).toBeCloseTo(0.2446, 4);
  });

  it('stays with two arms whose axes are level, and with axes that rise alike', () => {
    const arm = { caster: 4, height: 250, upper: 'arm' as const };
    expect(casterWithHeight({ ...arm, change: 64 }).casterChange).toBeCloseTo(0, 12);
    const alike = casterWithHeight({ ...arm, change: 64, lowerAxis: 3, upperAxis: 3 });
    expect(alike.casterChange).toBeCloseTo(0, 12);
  });

  it('is the lean of the line between two joints that went along their axes', () => {
    const angle = fc.double({ min: -8, max: 8, noNaN: true });
    fc.assert(
      fc.property(
        fc.double({ min: -80, max: 120, noNaN: true }),
        angle,
        angle,
        (change, lowerAxis, upperAxis) => {
          const given = { change, caster: 4, height: 250, lowerAxis, upperAxis } as const;
          // Forward and up, against the body: each joint goes down square to its axis.
          const down = (degrees: number) => {
            const way = vec2.rotate(vec2.create(), [0, -1], [0, 0], degrees * RAD);
            return vec2.scale(vec2.create(), way, change / -way[1]);
          };
          const upper = vec2.add(vec2.create(), [0, 250], down(upperAxis));
          const lower = vec2.add(vec2.create(), [250 * Math.tan(4 * RAD), 0], down(lowerAxis));
          const lean = Math.atan2(lower[0] - upper[0], upper[1] - lower[1]) / RAD;
          expect(casterWithHeight({ ...given, upper: 'arm' }).caster).toBeCloseTo(lean, 4);
        },
      ),
    );
  });

  it('refuses a strut that is pushed together', () => {
    expect(() => casterWithHeight({ ...strut, change: -700 })).toThrow(/less than the strut/);
  });
});
