/**
 * Everything the wear model depends on, as one flat vector so that the sampler can move through it
 * without making objects. Angles in degrees; wheels in the order lf, rf, lr, rr; axles front, rear.
 */
export const STATE = {
  /** 4 x camber. */
  camber: 0,
  /** 2 x total toe of the axle. */
  toe: 4,
  /** 4 x running pressure / target; belongs to the tire now at that wheel. */
  pressure: 6,
  /** ln(abradability / {@link ABRADABILITY}). */
  abradability: 10,
  /** Cornering as a multiple of the usual. */
  cornering: 11,
  /** 2 x rms wander of the axle's toe from play, degrees. */
  looseness: 12,
  /** Log share that handed driving moves toward outer on left wheels and inner on right ones. */
  hand: 14,
  /** 2 x log share that the axle leans outward by itself. */
  tilt: 15,
  /** 2 x log share that the axle puts on both shoulders by itself. */
  crown: 17,
  /**
   * Relative errors of the constants: factor 1 + x. At 8 to 20 % this is all but the same as a
   * logarithm and spares an exponential in the innermost loop; -1 switches a term off.
   */
  camberShare: 19,
  toeShare: 20,
  pressureShare: 21,
  corneringShare: 22,
  camberSlip: 23,
  /** 2 x relative error of the axle's driving slip. */
  drivingSlip: 24,
  /** 4 x whether the tire now at that wheel has been bouncing, 0 or 1. */
  bounce: 26,
} as const;

export const STATE_SIZE = 30;

/** Spread of the unknowns that are not faults. */
export const SPREAD = {
  abradability: 0.3,
  hand: 0.1,
  /** Degrees of freedom of the heavy tail of handed driving. */
  handFreedom: 4,
  tilt: 0.08,
  crown: 0.08,
  camberShare: 0.12,
  toeShare: 0.12,
  pressureShare: 0.12,
  corneringShare: 0.2,
  camberSlip: 0.2,
  drivingSlip: 0.08,
} as const;

/** A car with nothing out and nothing unusual: the point that every excess is counted from. */
export function healthyState(
  camberMid: readonly [number, number],
  toeMid: readonly [number, number],
): Float64Array {
  const state = new Float64Array(STATE_SIZE);
  for (let wheel = 0; wheel < 4; wheel++) {
    state[STATE.camber + wheel] = camberMid[wheel >> 1]!;
    state[STATE.pressure + wheel] = 1;
  }
  state[STATE.toe] = toeMid[0];
  state[STATE.toe + 1] = toeMid[1];
  state[STATE.cornering] = 1;
  return state;
}
