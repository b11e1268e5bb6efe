import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rearShim } from './adjustment/rearShim.ts';
import { steeringWheelCentre } from './adjustment/steeringWheelCentre.ts';
import { camberFromLevel } from './angles/camberFromLevel.ts';
import { toeFromGauges } from './angles/toeFromGauges.ts';
import { toeFromStrings } from './angles/toeFromStrings.ts';

/** A car in a mirror: left and right change places, thrust and offset their sign, all else stays. */

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const four = (one: fc.Arbitrary<number>) => fc.record({ lf: one, rf: one, lr: one, rr: one });
type Four<T> = Record<'lf' | 'rf' | 'lr' | 'rr', T>;
const swapped = <T>({ lf, rf, lr, rr }: Four<T>): Four<T> => ({ lf: rf, rf: lf, lr: rr, rr: lr });

function expectMirrored(
  one: { toe: Four<number>; totalToe: Record<'front' | 'rear', number>; thrustAngle: number },
  other: { toe: Four<number>; totalToe: Record<'front' | 'rear', number>; thrustAngle: number },
): void {
  const toe = swapped(one.toe);
  for (const wheel of ['lf', 'rf', 'lr', 'rr'] as const) {
    expect(other.toe[wheel]).toBeCloseTo(toe[wheel], 9);
  }
  for (const axle of ['front', 'rear'] as const) {
    expect(other.totalToe[axle]).toBeCloseTo(one.totalToe[axle], 9);
  }
  expect(other.thrustAngle).toBeCloseTo(-one.thrustAngle, 9);
}

describe('a car in a mirror', () => {
  it('has mirrored toe and thrust by strings, parallel or not', () => {
    const gap = fc.record({ front: between(100, 200), rear: between(100, 200) });
    const wheels = fc.record({ lf: gap, rf: gap, lr: gap, rr: gap });
    fc.assert(
      fc.property(wheels, between(1_800, 2_000), between(1_800, 2_000), (read, front, rear) => {
        const input = {
          stringGap: { front, rear },
          wheelbase: 2_650,
          rimDiameter: { front: 440, rear: 430 },
          wheels: read,
        };
        expectMirrored(toeFromStrings(input), toeFromStrings({ ...input, wheels: swapped(read) }));
      }),
    );
  });

  it('has mirrored toe and thrust by gauges, against either reference', () => {
    fc.assert(
      fc.property(
        four(between(-3, 3)),
        fc.constantFrom('centreLine' as const, 'rearAxle' as const),
        fc.constantFrom('plus' as const, 'minus' as const),
        (wheels, frontAgainst, toeInReads) => {
          const input = { unit: 'deg' as const, toeInReads, frontAgainst, wheels };
          expectMirrored(
            toeFromGauges(input),
            toeFromGauges({ ...input, wheels: swapped(wheels) }),
          );
        },
      ),
    );
  });

  it('leans as much on the other wheel, the floor high on the other side', () => {
    fc.assert(
      fc.property(
        between(0, 8),
        between(0, 3),
        fc.constantFrom('in' as const, 'out' as const),
        fc.boolean(),
        (reading, degrees, leans, isHighHere) => {
          const at = (side: 'left' | 'right') => {
            const other = side === 'left' ? 'right' : 'left';
            const high: 'left' | 'right' = isHighHere ? side : other;
            return camberFromLevel({
              reading,
              zeroIs: 'vertical',
              leans,
              side,
              floorSlope: { degrees, high },
            }).camber;
          };
          expect(at('right')).toBeCloseTo(at('left'), 12);
        },
      ),
    );
  });

  it('takes the same shim at the clock’s other hand', () => {
    fc.assert(
      fc.property(between(-1.5, 1.5), between(-1, 1), (camberChange, toeChange) => {
        const at = (side: 'left' | 'right') =>
          rearShim({ camberChange, toeChange, side, stock: [0.25, 0.5, 0.75, 1] });
        const [left, right] = [at('left'), at('right')];
        expect(right).toMatchObject({
          angle: left.angle,
          camberAchieved: left.camberAchieved,
          toeAchieved: left.toeAchieved,
        });
        const sum = (left.clock + right.clock) % 360;
        expect(Math.min(sum, 360 - sum)).toBeCloseTo(0, 9);
      }),
    );
  });

  it('has its steering wheel straightened by the rods’ roles changed', () => {
    fc.assert(
      fc.property(
        between(-30, 30),
        fc.constantFrom('ahead' as const, 'behind' as const),
        (offset, rack) => {
          const rod = {
            steeringRatio: 16,
            steeringArm: 140,
            threadPitch: 1.5,
            rack,
            adjuster: 'single' as const,
          };
          const one = steeringWheelCentre({ ...rod, offset });
          const other = steeringWheelCentre({
            ...rod,
            offset: -offset,
          });
          expect(other.rf.lengthChange).toBeCloseTo(one.lf.lengthChange, 9);
          expect(other.rf.turns).toBeCloseTo(one.lf.turns, 9);
          expect(one.lf.toeChange + one.rf.toeChange).toBeCloseTo(0, 12);
        },
      ),
    );
  });
});
