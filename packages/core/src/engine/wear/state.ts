/**
 * Everything the wear model depends on, as one flat vector so that the sampler can move through it
 * without making objects. Angles in degrees; wheels in the order lf, rf, lr, rr; axles front, rear.
 *
 * The first part is sampled. The second, from {@link FIRST_NUISANCE} on, enters the losses linearly with
 * normal priors and is integrated out in closed form; drawn states carry draws of it.
 */
export const STATE = {
  /** 4 x camber. */
  camber: 0,
  /** 2 x total toe of the axle. */
  toe: 4,
  /** 4 x running pressure / target; belongs to the tire now at that wheel. */
  pressure: 6,
  /** ln(rate of wear / {@link WEAR_RATE}): compound, road, load, driver. */
  logWearRate: 10,
  /** Cornering as a multiple of the usual. */
  cornering: 11,
  /** 2 x rms wander of the axle's toe from play, degrees. */
  looseness: 12,
  /** ln(this car's scatter / the usual scatter). */
  noise: 14,
  /** What the day's four pressure readings are off by together, as a part of the target. */
  gauge: 15,
  /** 4 x whether the tire now at that wheel has been bouncing, 0 or 1. */
  bounce: 16,
  /** The tire (1 to 4 in wheel order) whose rate is odd for reasons the model does not know, or 0. */
  oddTire: 20,
  /** The rib (1 to 12, tire by tire from inner to outer) whose reading is wrong, or 0. */
  oddReading: 21,
  /** The axle (1 front, 2 rear) whose tires are of another age than said, or 0. */
  otherAge: 22,

  /** Part of pressure that handed driving moves toward outer on left wheels and inner on right ones. */
  hand: 23,
  /** Part of pressure that all four tires put on both shoulders by their make. */
  crown: 24,
  /** Relative errors of the constants: factor 1 + x. */
  camberShare: 25,
  toeShare: 26,
  pressureShare: 27,
  corneringShare: 28,
  camberSlip: 29,
  /** Relative error of ln of the pressure's life factor. */
  pressureRate: 30,
  /** How much faster fresh tread wears than worn, beyond the usual: see {@link DEPTH_RATE}. */
  depthRate: 31,
  /** 2 x part of pressure that the axle leans outward by itself. */
  tilt: 32,
  /** 2 x part of pressure that the axle puts on both shoulders by itself. */
  axleCrown: 34,
  /** 2 x relative error of the axle's driving slip. */
  drivingSlip: 36,
  /** 2 x relative error of what cornering adds to it. */
  corneringSlip: 38,
  /** 2 x relative error of the axle's rate: weight, drive, tire model. */
  axleRate: 40,
} as const;

export const FIRST_NUISANCE = STATE.hand;
export const STATE_SIZE = 42;
export const NUISANCE_COUNT = STATE_SIZE - FIRST_NUISANCE;

/** Standard deviations of the unknowns that are no faults. */
export const SPREAD = {
  logWearRate: 0.3,
  hand: 0.04,
  crown: 0.05,
  camberShare: 0.2,
  toeShare: 0.25,
  pressureShare: 0.2,
  corneringShare: 0.6,
  camberSlip: 0.3,
  pressureRate: 0.35,
  depthRate: 0.25,
  tilt: 0.03,
  axleCrown: 0.025,
  drivingSlip: 0.06,
  corneringSlip: 0.8,
  axleRate: 0.15,
} as const;

/** Standard deviation of each nuisance, in the order of the state. */
export const NUISANCE_SPREADS: Readonly<Float64Array> = Float64Array.of(
  SPREAD.hand,
  SPREAD.crown,
  SPREAD.camberShare,
  SPREAD.toeShare,
  SPREAD.pressureShare,
  SPREAD.corneringShare,
  SPREAD.camberSlip,
  SPREAD.pressureRate,
  SPREAD.depthRate,
  SPREAD.tilt,
  SPREAD.tilt,
  SPREAD.axleCrown,
  SPREAD.axleCrown,
  SPREAD.drivingSlip,
  SPREAD.drivingSlip,
  SPREAD.corneringSlip,
  SPREAD.corneringSlip,
  SPREAD.axleRate,
  SPREAD.axleRate,
);

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
