import { CAMBER_SHARE, CORNERING_SHARE, PRESSURE_SHARE, TOE_SHARE } from '../wear/constants.ts';
import { STATE } from '../wear/state.ts';

/** A straight direction in the state along which the sampler steps: elements with their amounts. */
export interface Direction {
  elements: readonly number[];
  amounts: readonly number[];
  /** Longest usual step; shorter ones are tried as well. */
  reach: number;
}

function direction(reach: number, ...pairs: readonly (readonly [number, number])[]): Direction {
  return { reach, elements: pairs.map(([element]) => element), amounts: pairs.map(([, a]) => a) };
}

const { camber, toe, pressure, looseness, tilt, crown, drivingSlip, hand } = STATE;

/** One element at a time, with about the width of its prior. */
const SINGLE: Direction[] = [
  ...[0, 1, 2, 3].map((wheel) => direction(1.2, [camber + wheel, 1])),
  ...[0, 1].map((axle) => direction(0.5, [toe + axle, 1])),
  ...[0, 1, 2, 3].map((tire) => direction(0.15, [pressure + tire, 1])),
  direction(0.4, [STATE.abradability, 1]),
  direction(0.6, [STATE.cornering, 1]),
  ...[0, 1].map((axle) => direction(0.2, [looseness + axle, 1])),
  direction(0.15, [hand, 1]),
  ...[0, 1].map((axle) => direction(0.12, [tilt + axle, 1])),
  ...[0, 1].map((axle) => direction(0.12, [crown + axle, 1])),
];

/** The constants: the data say little of them, so they are moved less often. */
export const CONSTANT_DIRECTIONS: readonly Direction[] = [
  direction(0.15, [STATE.camberShare, 1]),
  direction(0.15, [STATE.toeShare, 1]),
  direction(0.15, [STATE.pressureShare, 1]),
  direction(0.25, [STATE.corneringShare, 1]),
  direction(0.25, [STATE.camberSlip, 1]),
  ...[0, 1].map((axle) => direction(0.1, [drivingSlip + axle, 1])),
];

/** Log share a degree of camber is worth, in other units: what trades against what. */
const LEAN = 1 / CAMBER_SHARE;
const TOE_LEAN = TOE_SHARE / 2;
/** Camber that leans a tire's wear as much as a degree of its axle's total toe does, degrees. */
export const TOE_IN_CAMBER = TOE_LEAN * LEAN;

/** Ridges of the posterior: pairs of explanations that leave nearly the same tread. */
const RIDGES: Direction[] = [
  // Handed driving against camber, left one way and right the other.
  direction(
    0.12,
    [hand, 1],
    [camber, -LEAN],
    [camber + 1, LEAN],
    [camber + 2, -LEAN],
    [camber + 3, LEAN],
  ),
  ...[0, 1].flatMap((axle) => {
    const [left, right] = [camber + 2 * axle, camber + 2 * axle + 1];
    const [pl, pr] = [pressure + 2 * axle, pressure + 2 * axle + 1];
    return [
      // Both cambers of an axle together; against the axle's toe; against its own tilt.
      direction(1, [left, 1], [right, 1]),
      direction(0.6, [toe + axle, 1], [left, -TOE_IN_CAMBER], [right, -TOE_IN_CAMBER]),
      direction(0.12, [tilt + axle, 1], [left, -LEAN], [right, -LEAN]),
      direction(0.4, [toe + axle, 1], [tilt + axle, -TOE_LEAN]),
      // Pressures of an axle together, and against its own crown.
      direction(0.15, [pl, 1], [pr, 1]),
      direction(0.12, [crown + axle, 1], [pl, 1 / PRESSURE_SHARE], [pr, 1 / PRESSURE_SHARE]),
      direction(0.1, [drivingSlip + axle, 1], [STATE.abradability, -2]),
    ];
  }),
  // All pressures together, and against the abradability they would explain.
  direction(0.15, [pressure, 1], [pressure + 1, 1], [pressure + 2, 1], [pressure + 3, 1]),
  direction(
    0.15,
    [pressure, -1],
    [pressure + 1, -1],
    [pressure + 2, -1],
    [pressure + 3, -1],
    [STATE.abradability, -0.8],
  ),
  // Hard cornering against abradability and what the axles do by themselves.
  direction(
    0.9,
    [STATE.cornering, 1],
    [STATE.abradability, -0.15],
    [tilt, -CORNERING_SHARE / 2],
    [tilt + 1, -CORNERING_SHARE / 6],
    [crown, -CORNERING_SHARE / 2],
  ),
  direction(0.9, [STATE.cornering, 1], [toe, -CORNERING_SHARE / TOE_SHARE], [drivingSlip, -0.12]),
  // Hard cornering against front camber and pressure: one outer shoulder either way.
  direction(
    0.8,
    [STATE.cornering, 1],
    [camber, (-CORNERING_SHARE / 2) * LEAN],
    [camber + 1, (-CORNERING_SHARE / 2) * LEAN],
    [pressure, CORNERING_SHARE / 2 / PRESSURE_SHARE],
    [pressure + 1, CORNERING_SHARE / 2 / PRESSURE_SHARE],
  ),
];

export const DIRECTIONS: readonly Direction[] = [...SINGLE, ...RIDGES];

/** Elements that trade against one another and are moved together by differences of past draws. */
export const BLOCKS: readonly (readonly number[])[] = [
  ...[0, 1].map((axle) => [
    camber + 2 * axle,
    camber + 2 * axle + 1,
    toe + axle,
    looseness + axle,
    tilt + axle,
    drivingSlip + axle,
  ]),
  [camber, camber + 1, toe, looseness, tilt, drivingSlip, STATE.cornering, STATE.abradability],
  [STATE.cornering, STATE.corneringShare, toe, tilt, tilt + 1, camber, camber + 1, hand],
  ...[0, 1].map((axle) => [pressure + 2 * axle, pressure + 2 * axle + 1, crown + axle]),
  [pressure, pressure + 1, pressure + 2, pressure + 3, crown, crown + 1, STATE.abradability],
  [camber, camber + 1, camber + 2, camber + 3, hand, tilt, tilt + 1],
];
