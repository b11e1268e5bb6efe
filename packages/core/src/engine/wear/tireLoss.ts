import {
  ABRADABILITY,
  BOUNCE_RATE,
  CAMBER_SHARE,
  CAMBER_SLIP,
  CORNERING_REAR,
  CORNERING_SHARE,
  CORNERING_SLIP,
  PRESSURE_RATE,
  PRESSURE_RATE_LIMIT,
  PRESSURE_SHARE,
  TOE_SHARE,
} from './constants.ts';
import { STATE } from './state.ts';

// Test runners and development loaders look an imported name up at every use; this is the innermost
// loop of the engine, so it works on names of its own.
const AT = { ...STATE };
const K = {
  abradability: ABRADABILITY,
  bounceRate: BOUNCE_RATE,
  camberShare: CAMBER_SHARE,
  camberSlip: CAMBER_SLIP,
  corneringRear: CORNERING_REAR,
  corneringShare: CORNERING_SHARE,
  corneringSlip: CORNERING_SLIP,
  pressureShare: PRESSURE_SHARE,
  toeShare: TOE_SHARE,
};
const RATE = { ...PRESSURE_RATE, limit: PRESSURE_RATE_LIMIT };

/** Where one tire has been: positions (0 lf, 1 rf, 2 lr, 3 rr) with the distance run at each. */
export interface TirePath {
  /** The wheel the tire is mounted at now, which names its pressure and bounce in the state. */
  tire: number;
  positions: Int32Array;
  /** Thousands of km at each position. */
  megametres: Float64Array;
  /** Slip that driving needs at each position, degrees. */
  drivingSlips: Float64Array;
}

/**
 * Loss of tread at the three ribs of one tire: the forward model.
 *
 *     rate = K P(r) f(p) (S0^2 + toe^2 + wander^2 + (c y camber)^2)    mm / 1000 km
 *
 * y is -1, 0, +1 for inner, centre, outer; toe is half the axle's total, because a free-rolling axle
 * shares it. P is the rib's share of contact pressure: exponentials of camber, toe, pressure,
 * cornering, handed driving and the axle's own tilt and crown, normalised to mean 1, so it cannot
 * turn negative. Losses add up over the places the tire has had.
 * @param state - see {@link STATE}
 * @param out - receives the loss in mm at inner, centre, outer
 * Sources: wear with friction work, Archard (1953), Schallamach and Turner (1960); work with slip
 * squared at small slip, the brush model, Pacejka, Tire and Vehicle Dynamics. Constants: constants.ts.
 */
export function tireLoss(state: Float64Array, path: TirePath, out: Float64Array): void {
  const { positions, megametres, drivingSlips } = path;
  const pressure = state[AT.pressure + path.tire]!;
  const camberShare = K.camberShare * (1 + state[AT.camberShare]!);
  const toeShare = K.toeShare * (1 + state[AT.toeShare]!);
  const crownOfPressure = K.pressureShare * (1 + state[AT.pressureShare]!) * (1 - pressure);
  const corneringShare = K.corneringShare * (1 + state[AT.corneringShare]!);
  const camberSlip = K.camberSlip * (1 + state[AT.camberSlip]!);
  const cornering = state[AT.cornering]! - 1;
  const tireRate =
    K.abradability *
    Math.exp(state[AT.abradability]!) *
    pressureRate(pressure) *
    (state[AT.bounce + path.tire]! > 0.5 ? K.bounceRate : 1);

  let inner = 0;
  let centre = 0;
  let outer = 0;
  for (let i = 0; i < positions.length; i++) {
    const position = positions[i]!;
    const axle = position >> 1;
    const left = (position & 1) === 0;
    const camber = state[AT.camber + position]!;
    const toe = state[AT.toe + axle]! / 2;
    const wander = state[AT.looseness + axle]!;
    const felt = axle === 0 ? cornering : cornering * K.corneringRear;

    const lean =
      camberShare * camber +
      toeShare * toe +
      state[AT.tilt + axle]! +
      (left ? state[AT.hand]! : -state[AT.hand]!);
    const crown = crownOfPressure + state[AT.crown + axle]!;
    const shareInner = Math.exp(crown - lean);
    const shareOuter = Math.exp(crown + lean + corneringShare * felt);
    const scale = (3 * tireRate * megametres[i]!) / (1 + shareInner + shareOuter);

    const ownSlip = drivingSlips[i]! * (1 + state[AT.drivingSlip + axle]!);
    const even = ownSlip * ownSlip * (1 + K.corneringSlip * felt) + toe * toe + wander * wander;
    const spin = camberSlip * camber;
    const edge = even + spin * spin;
    inner += scale * shareInner * edge;
    centre += scale * even;
    outer += scale * shareOuter * edge;
  }
  out[0] = inner;
  out[1] = centre;
  out[2] = outer;
}

/** What running pressure does to the whole rate; see {@link PRESSURE_RATE}. */
export function pressureRate(ratio: number): number {
  const off = Math.min(RATE.limit, Math.max(-RATE.limit, ratio - 1));
  return Math.exp(off * (RATE.linear + RATE.square * off));
}
