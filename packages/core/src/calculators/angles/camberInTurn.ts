import { InputError } from '../../engine/errors/InputError.ts';
import { RAD_PER_DEG } from '../../engine/units/units.ts';

/** Forward, outward from the car, up. */
type Vector = readonly [number, number, number];

/**
 * Camber of a front wheel that is steered: the wheel turns about its steering axis until its heading,
 * seen from above, is the one asked for.
 *
 * The axis runs rearward by tan caster and inward by tan SAI for each unit up. Turning the spin axis
 * s about the unit axis a (Rodrigues' formula) to a heading psi is A cos t + B sin t + C = 0, solved
 * in closed form; of its two roots the one that turns least, facing forward.
 * @param input.camber - straight ahead, degrees, top outward positive; the wheel starts at toe 0
 * @param input.caster, input.sai - degrees; positive leaning back, leaning inward
 * @param input.steer - heading in plan, as a turn plate shows it; positive with the front toward the car
 * @returns degrees
 * @throws {InputError} `steer` when the wheel cannot be turned that far about such an axis
 * @example camberInTurn({ camber: -0.5, caster: 5, sai: 13, steer: 20 }).camber.toFixed(2) // '-1.41'
 */
export function camberInTurn(input: {
  camber: number;
  caster: number;
  sai: number;
  steer: number;
}): { camber: number } {
  const [camber, caster, sai, steer] = [input.camber, input.caster, input.sai, input.steer].map(
    (degrees) => degrees * RAD_PER_DEG,
  ) as [number, number, number, number];
  const spin: Vector = [0, Math.cos(camber), -Math.sin(camber)];
  const axis = unit([-Math.tan(caster), -Math.tan(sai), 1]);
  const along = dot(axis, spin);
  const across = cross(axis, spin);
  /** Zero when a spin axis lies square to the heading; the other part is above 0 when it faces forward. */
  const off = ([x, y]: Vector) => x * Math.cos(steer) - y * Math.sin(steer);
  const facing = ([x, y]: Vector) => x * Math.sin(steer) + y * Math.cos(steer);

  const a = off(spin) - off(axis) * along;
  const b = off(across);
  const c = off(axis) * along;
  const reach = Math.hypot(a, b);
  if (reach === 0 || Math.abs(c) > reach) throw new InputError('steer', 'reachableSteer');
  const middle = Math.atan2(b, a);
  const half = Math.acos(-c / reach);
  const turned = [middle - half, middle + half]
    .map((turn) => Math.atan2(Math.sin(turn), Math.cos(turn)))
    .toSorted((one, other) => Math.abs(one) - Math.abs(other))
    .map((turn) => rotated(spin, across, axis, along, turn))
    .find((vector) => facing(vector) > 0);
  if (!turned) throw new InputError('steer', 'reachableSteer');
  return { camber: Math.asin(Math.min(1, Math.max(-1, -turned[2]))) / RAD_PER_DEG };
}

function rotated(spin: Vector, across: Vector, axis: Vector, along: number, turn: number): Vector {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return [0, 1, 2].map(
    (i) => spin[i]! * cos + across[i]! * sin + axis[i]! * along * (1 - cos),
  ) as unknown as Vector;
}

function unit(vector: Vector): Vector {
  const length = Math.hypot(...vector);
  return vector.map((part) => part / length) as unknown as Vector;
}

function dot(a: Vector, b: Vector): number {
  return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
}

function cross(a: Vector, b: Vector): Vector {
  return [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
}
