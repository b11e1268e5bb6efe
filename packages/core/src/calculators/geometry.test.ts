import fc from 'fast-check';
import { quat, vec2, vec3 } from 'gl-matrix';
import { describe, expect, it } from 'vitest';
import { rearShim } from './adjustment/rearShim.ts';
import type { Point } from './adjustment/rideHeight.ts';
import { rideHeight } from './adjustment/rideHeight.ts';
import { camberFromSquare } from './angles/camberFromSquare.ts';
import { camberInTurn } from './angles/camberInTurn.ts';
import { casterFromSwing, evenSwing } from './angles/casterFromSwing.ts';
import { toeConvert } from './angles/toeConvert.ts';
import { toeFromGauges } from './angles/toeFromGauges.ts';
import { toeFromStrings } from './angles/toeFromStrings.ts';
import { toeFromTape } from './angles/toeFromTape.ts';

/** The closed forms against brute search with a general geometry library. */

const RAD = Math.PI / 180;
const degrees = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** Halves an interval until a sign change is found to rounding. */
function root(of: (x: number) => number, low: number, high: number): number {
  const sign = Math.sign(of(low));
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2;
    if (Math.sign(of(middle)) === sign) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Camber of a wheel turned about its steering axis by quaternion, until it heads where it should. */
function turnedCamber(camber: number, caster: number, sai: number, steer: number): number {
  const axis = vec3.fromValues(-Math.tan(caster * RAD), -Math.tan(sai * RAD), 1);
  vec3.normalize(axis, axis);
  const turned = (turn: number) => {
    const spin = vec3.fromValues(0, Math.cos(camber * RAD), -Math.sin(camber * RAD));
    return vec3.transformQuat(spin, spin, quat.setAxisAngle(quat.create(), axis, turn));
  };
  const heading = (turn: number) => {
    const spin = turned(turn);
    return Math.atan2(spin[0], spin[1]) - steer * RAD;
  };
  const turn = root(heading, -1.2, 1.2);
  return Math.asin(-turned(turn)[2]) / RAD;
}

describe('camberInTurn', () => {
  it('agrees with turning the wheel by quaternion', () => {
    fc.assert(
      fc.property(
        degrees(-5, 5),
        degrees(-3, 12),
        degrees(0, 18),
        degrees(-45, 45),
        (camber, caster, sai, steer) => {
          const closed = camberInTurn({ camber, caster, sai, steer }).camber;
          // The library keeps 24-bit numbers.
          expect(Math.abs(closed - turnedCamber(camber, caster, sai, steer))).toBeLessThan(2e-4);
        },
      ),
    );
  });

  it('is the camber itself straight ahead', () => {
    fc.assert(
      fc.property(degrees(-8, 8), degrees(-5, 12), degrees(0, 20), (camber, caster, sai) => {
        expect(camberInTurn({ camber, caster, sai, steer: 0 }).camber).toBeCloseTo(camber, 9);
      }),
    );
  });
});

describe('casterFromSwing', () => {
  it('finds the caster again within about 0.05 degrees, up to 8 degrees', () => {
    for (const caster of [0, 2, 4, 6, 8]) {
      for (const angle of [10, 20]) {
        const at = (steer: number) => camberInTurn({ camber: -0.5, caster, sai: 12, steer }).camber;
        const found = casterFromSwing({
          camberTurnedOut: at(-angle),
          camberTurnedIn: at(angle),
          angle,
        });
        expect(Math.abs(found.caster - caster)).toBeLessThan(0.06);
      }
    }
  });
});

describe('rideHeight', () => {
  const wishbone = {
    lowerInner: [350, 180] as Point,
    lowerOuter: [700, 170] as Point,
    upperInner: [420, 420] as Point,
    upperOuter: [660, 440] as Point,
    tieInner: [340, 235] as Point,
    tieOuter: [690, 230] as Point,
  };
  const length = (a: Point, b: Point) => vec2.distance([...a], [...b]);

  it('keeps every link and the upright as long as they were', () => {
    fc.assert(
      fc.property(degrees(-60, 60), (change) => {
        const { camberChange } = rideHeight({
          change,
          points: wishbone,
          steeringArm: 140,
          rack: 'behind',
        });
        const { lowerInner, lowerOuter, upperInner, upperOuter } = wishbone;
        // The lower joint on its arc, and the upright turned by what was found: the arm must fit.
        const drop = lowerOuter[1] - change - lowerInner[1];
        const lower: Point = [
          lowerInner[0] + Math.sqrt(length(lowerInner, lowerOuter) ** 2 - drop ** 2),
          lowerInner[1] + drop,
        ];
        const upright = vec2.subtract(vec2.create(), [...upperOuter], [...lowerOuter]);
        vec2.rotate(upright, upright, [0, 0], -camberChange * RAD);
        const upper: Point = [lower[0] + upright[0], lower[1] + upright[1]];
        expect(length(upperInner, upper)).toBeCloseTo(length(upperInner, upperOuter), 3);
      }),
    );
  });

  it('says the opposite of toe with the rack on the other side, and nothing else', () => {
    const at = (rack: 'ahead' | 'behind') =>
      rideHeight({ change: -25, points: wishbone, steeringArm: 140, rack });
    expect(at('ahead').toeChange).toBeCloseTo(-at('behind').toeChange, 12);
    expect(at('ahead').camberChange).toBe(at('behind').camberChange);
  });

  it('refuses a drop that no link reaches, at the joint', () => {
    const at = (change: number) =>
      rideHeight({ change, points: wishbone, steeringArm: 140, rack: 'behind' });
    expect(() => at(500)).toThrow(expect.objectContaining({ path: 'points.lowerOuter' }) as Error);
    expect(() => at(250)).toThrow(expect.objectContaining({ path: 'points.upperOuter' }) as Error);
  });
});

describe('rearShim', () => {
  it('does what it says, is in stock, and is the best there is', () => {
    const stock = fc.array(fc.integer({ min: 1, max: 12 }), { minLength: 1, maxLength: 6 });
    fc.assert(
      fc.property(
        degrees(-1.5, 1.5),
        degrees(-1.5, 1.5),
        fc.constantFrom('left' as const, 'right' as const),
        stock,
        (camberChange, toeChange, side, eighths) => {
          const tapers = eighths.map((n) => n / 8);
          const shim = rearShim({ camberChange, toeChange, side, stock: tapers });
          const sign = side === 'left' ? 1 : -1;
          expect([0, ...tapers]).toContain(shim.angle);
          expect(shim.clock).toBeGreaterThanOrEqual(0);
          expect(shim.clock).toBeLessThan(360);
          const clock = shim.clock * RAD;
          expect(shim.angle * Math.cos(clock)).toBeCloseTo(shim.camberAchieved, 9);
          expect(sign * shim.angle * Math.sin(clock)).toBeCloseTo(shim.toeAchieved, 9);
          if (tapers.some((taper) => taper >= Math.abs(toeChange))) {
            expect(shim.toeAchieved).toBeCloseTo(toeChange, 12);
            for (const taper of tapers.filter((one) => one >= Math.abs(toeChange))) {
              const camber = Math.sqrt(taper ** 2 - toeChange ** 2);
              const missed = Math.min(
                Math.abs(camber - camberChange),
                Math.abs(-camber - camberChange),
              );
              expect(Math.abs(shim.camberAchieved - camberChange)).toBeLessThanOrEqual(
                missed + 1e-8,
              );
            }
          }
        },
      ),
    );
  });

  it('leaves the shim out when it would only do harm, and gives ties to the smaller', () => {
    const pick = (camberChange: number, stock: number[]) =>
      rearShim({ camberChange, toeChange: 0, side: 'left', stock });
    expect(pick(0, [0.25, 0.5])).toEqual({
      angle: 0,
      clock: 0,
      camberAchieved: 0,
      toeAchieved: 0,
    });
    expect(pick(0.2, [0.1, 0.3]).angle).toBe(0.1);
    expect(pick(-0.5, [0.5])).toMatchObject({ angle: 0.5, clock: 180 });
    expect(
      rearShim({ camberChange: 0, toeChange: 0.3, side: 'right', stock: [0.5] }).camberAchieved,
    ).toBeCloseTo(0.4, 12);
  });
});

describe('toe by different means', () => {
  it('is the same by tape and by length at the rim', () => {
    fc.assert(
      fc.property(degrees(-60, 60), fc.double({ min: 200, max: 900, noNaN: true }), (off, span) => {
        const tape = toeFromTape({ front: 1500, rear: 1500 + off, unit: 'mm', span });
        const each = toeConvert({ value: off / 2, from: 'mm', to: 'deg', diameter: span });
        expect(tape.totalToe).toBeCloseTo(2 * each.value, 9);
      }),
    );
  });

  it('by strings does not depend on how far off they stand', () => {
    const car = (away: number) =>
      toeFromStrings({
        stringGap: { front: 1900, rear: 1906 },
        wheelbase: 2600,
        wheels: {
          lf: { front: away + 2, rear: away },
          rf: { front: away + 1, rear: away },
          lr: { front: away, rear: away },
          rr: { front: away - 1, rear: away },
        },
        rimDiameter: { front: 430, rear: 430 },
      });
    for (const wheel of ['lf', 'rf', 'lr', 'rr'] as const) {
      expect(car(200).toe[wheel]).toBeCloseTo(car(90).toe[wheel], 12);
    }
  });
});

describe('toeFromGauges', () => {
  /** Angle from one heading to another, degrees, to the right positive. */
  const between = (from: vec2, to: vec2) =>
    (Math.atan2(to[0], to[1]) - Math.atan2(from[0], from[1])) / RAD;
  /** Where a wheel points: ahead, turned right by so much. */
  const heading = (right: number) => vec2.fromValues(Math.sin(right * RAD), Math.cos(right * RAD));

  it('finds each wheel again, read as lengths against the line that the rear axle rolls along', () => {
    const toes = fc.record({
      lf: degrees(-2, 2),
      rf: degrees(-2, 2),
      lr: degrees(-2, 2),
      rr: degrees(-2, 2),
    });
    fc.assert(
      fc.property(toes, fc.constantFrom('plus', 'minus'), (toe, toeInReads) => {
        // Toe-in turns a left wheel to the right, and a right wheel to the left.
        const wheels = { lf: toe.lf, rf: -toe.rf, lr: toe.lr, rr: -toe.rr };
        const line = vec2.add(vec2.create(), heading(wheels.lr), heading(wheels.rr));
        const diameter = 430;
        const sign = toeInReads === 'plus' ? 1 : -1;
        const read = (right: number) => sign * diameter * Math.sin(right * RAD);
        const found = toeFromGauges({
          wheels: {
            lf: read(between(line, heading(wheels.lf))),
            rf: read(-between(line, heading(wheels.rf))),
            lr: read(toe.lr),
            rr: read(toe.rr),
          },
          unit: 'mm',
          diameter,
          toeInReads,
          frontAgainst: 'rearAxle',
        });
        // The library keeps 24-bit numbers.
        for (const wheel of ['lf', 'rf', 'lr', 'rr'] as const) {
          expect(Math.abs(found.toe[wheel] - toe[wheel])).toBeLessThan(1e-4);
        }
        expect(Math.abs(found.thrustAngle - Math.atan2(line[0], line[1]) / RAD)).toBeLessThan(1e-4);
      }),
    );
  });

  it('mirrors: left and right change places, thrust its sign', () => {
    const read = { unit: 'deg', toeInReads: 'plus', frontAgainst: 'rearAxle' } as const;
    const one = toeFromGauges({ ...read, wheels: { lf: 0.1, rf: 0.3, lr: 0.4, rr: -0.2 } });
    const other = toeFromGauges({ ...read, wheels: { lf: 0.3, rf: 0.1, lr: -0.2, rr: 0.4 } });
    expect(other.toe.lf).toBeCloseTo(one.toe.rf, 12);
    expect(other.thrustAngle).toBeCloseTo(-one.thrustAngle, 12);
    expect(other.totalToe.front).toBeCloseTo(one.totalToe.front, 12);
  });
});

describe('camberFromSquare', () => {
  it('finds the lean of a rim between two points on it', () => {
    fc.assert(
      fc.property(degrees(-8, 8), degrees(150, 500), degrees(60, 90), (camber, span, gap) => {
        // Outward of the hub, by the lean of the rim about its middle.
        const edge = vec2.rotate(vec2.create(), [0, span / 2], [0, 0], -camber * RAD);
        const found = camberFromSquare({
          top: gap - edge[0],
          bottom: gap + edge[0],
          span,
          unit: 'mm',
        });
        expect(Math.abs(found.camber - camber)).toBeLessThan(1e-4);
      }),
    );
  });

  it('leans in where the gap is wider at the top (common practice, no source)', () => {
    expect(camberFromSquare({ top: 5, bottom: 0, span: 210, unit: 'mm' }).camber).toBeLessThan(0);
  });
});

describe('evenSwing', () => {
  it('finds the caster of a swing that was not even, on a plate that is not zeroed', () => {
    // Camber by quaternion at two uneven turns: the front away from the car is a negative heading.
    const [camber, caster] = [-0.5, 4];
    const [out, inward, zero] = [17, 22, 1.5];
    // What inclination adds takes itself out of an even swing only, so it is left out here.
    const at = (steer: number) => turnedCamber(camber, caster, 0, steer);
    const angle = evenSwing({ straight: zero, out: zero - out, in: zero + inward });
    const found = casterFromSwing({
      camberTurnedOut: at(-out),
      camberTurnedIn: at(inward),
      angle,
    }).caster;
    expect(Math.abs(found - caster)).toBeLessThan(0.05);
    expect(evenSwing({ straight: 0, out: 20, in: 20 })).toBeCloseTo(20, 12);
  });
});
