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

const { camber, toe, pressure, looseness, logWearRate, cornering, noise, gauge } = STATE;

/** Camber that leans a tire's wear as much as a degree of its axle's total toe does, degrees. */
export const TOE_IN_CAMBER = TOE_SHARE / 2 / CAMBER_SHARE;
/** The same for a unit of cornering, half of which leans the tire and half of which rounds it. */
const CORNERING_IN_CAMBER = CORNERING_SHARE / 2 / CAMBER_SHARE;
const CORNERING_IN_PRESSURE = CORNERING_SHARE / 2 / PRESSURE_SHARE;

/** One element at a time, with about the width of its prior. */
const SINGLE: Direction[] = [
  ...[0, 1, 2, 3].map((wheel) => direction(1.5, [camber + wheel, 1])),
  ...[0, 1].map((axle) => direction(0.6, [toe + axle, 1])),
  ...[0, 1, 2, 3].map((tire) => direction(0.2, [pressure + tire, 1])),
  direction(0.3, [logWearRate, 1]),
  direction(0.8, [cornering, 1]),
  ...[0, 1].map((axle) => direction(0.25, [looseness + axle, 1])),
  direction(0.6, [noise, 1]),
  direction(0.1, [gauge, 1]),
];

/** Ridges of the posterior: sets of explanations that leave nearly the same tread. */
const RIDGES: Direction[] = [
  ...[0, 1].flatMap((axle) => {
    const [left, right] = [camber + 2 * axle, camber + 2 * axle + 1];
    const [pl, pr] = [pressure + 2 * axle, pressure + 2 * axle + 1];
    return [
      // Both cambers of an axle together, and against the axle's toe; both pressures.
      direction(1.2, [left, 1], [right, 1]),
      direction(0.6, [toe + axle, 1], [left, -TOE_IN_CAMBER], [right, -TOE_IN_CAMBER]),
      direction(0.2, [pl, 1], [pr, 1]),
    ];
  }),
  // All pressures together, against the rate of wear they would explain, and against the gauge.
  direction(0.2, [pressure, 1], [pressure + 1, 1], [pressure + 2, 1], [pressure + 3, 1]),
  direction(
    0.15,
    [pressure, -1],
    [pressure + 1, -1],
    [pressure + 2, -1],
    [pressure + 3, -1],
    [logWearRate, -0.8],
  ),
  direction(
    0.1,
    [gauge, -1],
    [pressure, 1],
    [pressure + 1, 1],
    [pressure + 2, 1],
    [pressure + 3, 1],
  ),
  // Hard cornering against front camber and pressure, and against toe: one outer shoulder either way.
  direction(
    0.8,
    [cornering, 1],
    [camber, -CORNERING_IN_CAMBER],
    [camber + 1, -CORNERING_IN_CAMBER],
    [pressure, CORNERING_IN_PRESSURE],
    [pressure + 1, CORNERING_IN_PRESSURE],
  ),
  direction(0.8, [cornering, 1], [toe, -CORNERING_SHARE / TOE_SHARE]),
  direction(0.8, [cornering, 1], [logWearRate, -0.2]),
  // Hard cornering against soft tires: both wear faster and on the shoulders.
  direction(
    1,
    [cornering, 1],
    [pressure, 0.12],
    [pressure + 1, 0.12],
    [pressure + 2, 0.12],
    [pressure + 3, 0.12],
    [logWearRate, -0.2],
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
    logWearRate,
  ]),
  [camber, camber + 1, toe, looseness, cornering, logWearRate],
  [pressure, pressure + 1, pressure + 2, pressure + 3, logWearRate],
  [camber, camber + 1, camber + 2, camber + 3],
  [toe, toe + 1, logWearRate, cornering],
];
