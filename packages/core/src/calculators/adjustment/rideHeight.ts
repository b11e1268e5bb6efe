import { InputError } from '../../engine/errors/InputError.ts';
import { RAD_PER_DEG } from '../../engine/units/units.ts';

/** Outward from the car's middle and up, mm. */
export type Point = readonly [number, number];

/** One side of a suspension seen from the front: an upper arm or a strut. */
export interface FrontView {
  lowerInner: Point;
  lowerOuter: Point;
  upperInner?: Point | undefined;
  upperOuter?: Point | undefined;
  strutTop?: Point | undefined;
  tieInner: Point;
  tieOuter: Point;
}

/** The same side with its body moved. */
export interface MovedView {
  lowerOuter: Point;
  /** Where the upper joint, or the top of the strut, then is. */
  upperOuter: Point;
  /** Where the upright would carry the rod's end, and where the rod puts it. */
  tieOuter: Point;
  rodEnd: Point;
  /** Of the upright, radians, top outward positive. */
  turn: number;
}

export interface RideHeightInput {
  /** Of the body, mm, up positive. */
  change: number;
  /** Before the change. */
  points: FrontView;
  steeringArm: number;
  rack: 'ahead' | 'behind';
}

/**
 * What a changed body height does to a wheel's camber and toe.
 *
 * The lower joint goes round its arc by the change; the upright keeps its joint distances (with a
 * strut, the line from strut top to lower joint belongs to it) and its turn is the camber change. The
 * tie rod keeps its length at the height its outer end then has; the sideways difference d between
 * where the rod puts that end and where the upright alone would gives toe = asin(d / steering arm),
 * with the rack behind the axle, and minus that with the rack ahead. Joints stay on their side.
 * @returns degrees of this wheel; top outward and toe-in positive
 * @throws {InputError} at the joint whose arc does not reach
 */
export function rideHeight(input: RideHeightInput): { camberChange: number; toeChange: number } {
  const { tieOuter, rodEnd, turn } = moveBody(input.points, input.change);
  const sine = (rodEnd[0] - tieOuter[0]) / input.steeringArm;
  if (Math.abs(sine) > 1) {
    throw new InputError('steeringArm', 'longerArm');
  }
  const toe = Math.asin(sine) / RAD_PER_DEG;
  return {
    camberChange: turn / RAD_PER_DEG,
    toeChange: input.rack === 'behind' ? toe : -toe,
  };
}

/**
 * Where the joints are, seen from the body, after it moved up by `change` mm.
 * @throws {InputError} at the joint whose arc does not reach
 */
export function moveBody(points: FrontView, change: number): MovedView {
  const { lowerInner, lowerOuter, tieInner, tieOuter } = points;
  const height = lowerOuter[1] - change;
  const lower: Point = [onArc(lowerInner, lowerOuter, height, 'points.lowerOuter'), height];
  const upper = upperOf(points, lower);
  const turn = between(
    leanOf(lowerOuter, points.strutTop ?? points.upperOuter ?? lowerOuter),
    leanOf(lower, upper),
  );
  const tie = carried(tieOuter, lowerOuter, lower, turn);
  return {
    lowerOuter: lower,
    upperOuter: upper,
    tieOuter: tie,
    rodEnd: [onArc(tieInner, tieOuter, tie[1], 'points.tieOuter'), tie[1]],
    turn,
  };
}

function upperOf({ lowerOuter, ...points }: FrontView, lower: Point): Point {
  if (points.strutTop) return points.strutTop;
  const { upperInner, upperOuter } = points;
  if (!upperInner || !upperOuter) {
    throw new InputError('points', 'armOrStrutTop');
  }
  return meet(upperInner, upperOuter, lowerOuter, lower);
}

/** Where the upper joint then is: on its arm's arc and as far from the lower joint as before. */
function meet(inner: Point, outer: Point, lowerBefore: Point, lower: Point): Point {
  const arm = distance(inner, outer);
  const upright = distance(lowerBefore, outer);
  const apart = distance(inner, lower);
  const along = (arm * arm - upright * upright + apart * apart) / (2 * apart);
  const square = arm * arm - along * along;
  // Rounding alone must not part two arcs that just touch.
  if (!(square >= -1e-9 * arm * arm)) {
    throw new InputError('points.upperOuter', 'reachingArm');
  }
  const side = Math.sign(cross(inner, lowerBefore, outer));
  if (side === 0 && square > 1e-9 * arm * arm) {
    throw new InputError('points.upperOuter', 'jointOffLine');
  }
  const off = side * Math.sqrt(Math.max(0, square));
  const [x, y] = [(lower[0] - inner[0]) / apart, (lower[1] - inner[1]) / apart];
  return [inner[0] + along * x - off * y, inner[1] + along * y + off * x];
}

/** Outward place of a link's outer end at a height, on the side where it was. */
function onArc(inner: Point, outer: Point, height: number, path: string): number {
  const length = distance(inner, outer);
  const square = length * length - (height - inner[1]) ** 2;
  const side = Math.sign(outer[0] - inner[0]);
  if (!(square >= 0) || length === 0) {
    throw new InputError(path, 'longerLink');
  }
  return inner[0] + side * Math.sqrt(square);
}

/** A point of the upright after its lower joint has moved and it has turned. */
function carried(point: Point, from: Point, to: Point, turn: number): Point {
  const [x, y] = [point[0] - from[0], point[1] - from[1]];
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return [to[0] + x * cos + y * sin, to[1] - x * sin + y * cos];
}

/** Lean of the line from a lower to an upper point, radians from upright, outward positive. */
function leanOf(lower: Point, upper: Point): number {
  return Math.atan2(upper[0] - lower[0], upper[1] - lower[1]);
}

function between(before: number, after: number): number {
  return Math.atan2(Math.sin(after - before), Math.cos(after - before));
}

function distance(a: Point, b: Point): number {
  return Math.hypot(a[0] - b[0], a[1] - b[1]);
}

/** Twice the signed area of the triangle: its sign is the side of a-b that c lies on. */
function cross(a: Point, b: Point, c: Point): number {
  return (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
}
