import { DEPTH_RATE } from '../case/treadFacts.ts';
import { exp } from '../math/elementary.ts';
import {
  BOUNCE_RATE,
  CAMBER_SHARE,
  CAMBER_SLIP,
  CORNERING_REAR,
  CORNERING_SHARE,
  CORNERING_SLIP,
  HAND_RATE,
  LIFT_OFF,
  PRESSURE_RATE,
  PRESSURE_RATE_LIMIT,
  PRESSURE_SHARE,
  TOE_SHARE,
  WEAR_RATE,
} from './constants.ts';
import { FIRST_NUISANCE, NUISANCE_COUNT, STATE } from './state.ts';

// Test runners and development loaders look an imported name up at every use; this is the innermost
// loop of the engine, so it works on names of its own.
const AT = { ...STATE };
const K = {
  wearRate: WEAR_RATE,
  bounceRate: BOUNCE_RATE,
  camberShare: CAMBER_SHARE,
  camberSlip: CAMBER_SLIP,
  corneringRear: CORNERING_REAR,
  corneringShare: CORNERING_SHARE,
  corneringSlip: CORNERING_SLIP,
  depthRate: DEPTH_RATE,
  handRate: HAND_RATE,
  liftOffSquare: LIFT_OFF * LIFT_OFF,
  pressureShare: PRESSURE_SHARE,
  toeShare: TOE_SHARE,
};
const RATE = { ...PRESSURE_RATE, limit: PRESSURE_RATE_LIMIT };
const Z = NUISANCE_COUNT;
const FIRST = FIRST_NUISANCE;
/** Columns of the sensitivities. */
const COLUMN = {
  hand: AT.hand - FIRST,
  crown: AT.crown - FIRST,
  camberShare: AT.camberShare - FIRST,
  toeShare: AT.toeShare - FIRST,
  pressureShare: AT.pressureShare - FIRST,
  corneringShare: AT.corneringShare - FIRST,
  camberSlip: AT.camberSlip - FIRST,
  pressureRate: AT.pressureRate - FIRST,
  depthRate: AT.depthRate - FIRST,
  tilt: AT.tilt - FIRST,
  axleCrown: AT.axleCrown - FIRST,
  drivingSlip: AT.drivingSlip - FIRST,
  corneringSlip: AT.corneringSlip - FIRST,
  axleRate: AT.axleRate - FIRST,
};
/** No rib wears at less than this part of what the formula says with its constants as they are. */
const LEAST_FACTOR = 0.15;

/** Where one tire has been: positions (0 lf, 1 rf, 2 lr, 3 rr) with the distance run at each. */
export interface TirePath {
  /** The wheel the tire is mounted at now, which names its pressure and bounce in the state. */
  tire: number;
  positions: Int32Array;
  /** Thousands of km at each position. */
  thousandKm: Float64Array;
  /** Slip that driving needs at each position, degrees. */
  drivingSlips: Float64Array;
  /** Depth when new, mm, for wear that slows as tread is lost; 0 leaves that out, as for a rate. */
  newDepthMm: number;
  /** What inner, centre and outer had lost when the path began, mm. */
  lostBefore: Float64Array;
}

/**
 * Loss of tread at the three ribs of one tire, and how it changes with what is not known of the formula.
 *
 *     rate = K P(y) f(p) (S0^2 + toe^2 + wander^2 + (c y camber)^2)    mm / 1000 km
 *
 * y is -1, 0, +1 for inner, centre, outer; toe is half the axle's total, because a free-rolling axle
 * shares it. P is the rib's part of the contact pressure, as an elastic foundation has it: linear in
 * camber, toe, pressure and cornering, never below zero (a rib lifts off, round the corner by
 * {@link LIFT_OFF}), normalised to mean 1. Losses add up over the places the tire has had, and come slower
 * as tread is lost ({@link DEPTH_RATE}).
 * @param state - see {@link STATE}; its nuisances are taken as zero
 * @param loss - receives the loss in mm at inner, centre, outer
 * @param sensitivity - receives, for each nuisance in the order of the state, the change of loss in mm for
 * each unit of it at inner, centre, outer: {@link NUISANCE_COUNT} x 3
 * Sources: wear with friction work, Archard (1953), Schallamach and Turner (1960); work with slip
 * squared at small slip, the brush model, Pacejka, Tire and Vehicle Dynamics. Constants: constants.ts.
 */
export function tireSensitivity(
  state: Float64Array,
  path: TirePath,
  loss: Float64Array,
  sensitivity: Float64Array,
): void {
  const { positions, thousandKm, drivingSlips, newDepthMm } = path;
  const pressure = state[AT.pressure + path.tire]!;
  const crown = (K.pressureShare / 3) * (1 - pressure);
  const logPressure = logPressureRate(pressure);
  const cornering = state[AT.cornering]!;
  const harder = cornering * cornering - 1;
  const tireRate =
    K.wearRate *
    exp(state[AT.logWearRate]! + logPressure) *
    (state[AT.bounce + path.tire]! > 0.5 ? K.bounceRate : 1);
  let sumInner = 0;
  let sumCentre = 0;
  let sumOuter = 0;
  for (let i = 0; i < 3 * Z; i++) sensitivity[i] = 0;
  for (let i = 0; i < positions.length; i++) {
    const position = positions[i]!;
    const axle = position >> 1;
    const side = (position & 1) === 0 ? 1 : -1;
    const camber = state[AT.camber + position]!;
    const toe = state[AT.toe + axle]! / 2;
    const wander = state[AT.looseness + axle]!;
    const felt = axle === 0 ? 1 : K.corneringRear;

    const camberLean = K.camberShare * camber;
    const toeLean = K.toeShare * toe;
    const lean = camberLean + toeLean;
    const outside = K.corneringShare * (cornering - 1) * felt;
    // Pressure at each rib before it is normalised, p(v) = (v + root(v^2 + d^2)) / 2, and its slope.
    const vInner = 1 + crown - lean;
    const vCentre = 1 - 2 * crown;
    const vOuter = 1 + crown + lean + outside;
    const rInner = Math.sqrt(vInner * vInner + K.liftOffSquare);
    const rCentre = Math.sqrt(vCentre * vCentre + K.liftOffSquare);
    const rOuter = Math.sqrt(vOuter * vOuter + K.liftOffSquare);
    const pInner = vInner + rInner;
    const pCentre = vCentre + rCentre;
    const pOuter = vOuter + rOuter;
    const total = pInner + pCentre + pOuter;
    // d ln p / dv = 1 / root; dp / dv = p / root.
    const wInner = pInner / rInner / total;
    const wCentre = pCentre / rCentre / total;
    const wOuter = pOuter / rOuter / total;

    const slip = drivingSlips[i]!;
    const ownSlip = slip * slip;
    const turnSlip = ownSlip * K.corneringSlip * harder;
    const driving = ownSlip + turnSlip > 0 ? ownSlip + turnSlip : 0;
    const even = driving + toe * toe + wander * wander;
    const spin = K.camberSlip * camber;
    const edge = even + spin * spin;

    const scale = (3 * tireRate * thousandKm[i]!) / total;
    const inner = scale * pInner * edge;
    const centre = scale * pCentre * even;
    const outer = scale * pOuter * edge;
    sumInner += inner;
    sumCentre += centre;
    sumOuter += outer;

    // Relative changes of the three ribs with lean, crown and what cornering puts on the outer one.
    const leanMean = wOuter - wInner;
    const leanInner = -1 / rInner - leanMean;
    const leanCentre = -leanMean;
    const leanOuter = 1 / rOuter - leanMean;
    const crownMean = (wInner + wOuter - 2 * wCentre) / 3;
    const crownInner = 1 / (3 * rInner) - crownMean;
    const crownCentre = -2 / (3 * rCentre) - crownMean;
    const crownOuter = 1 / (3 * rOuter) - crownMean;
    const outsideInner = -wOuter;
    const outsideOuter = 1 / rOuter - wOuter;

    const h = K.handRate;
    const s = sensitivity;
    s[3 * COLUMN.hand]! += side * inner * (leanInner + h);
    s[3 * COLUMN.hand + 1]! += side * centre * (leanCentre + h);
    s[3 * COLUMN.hand + 2]! += side * outer * (leanOuter + h);
    const lInner = inner * leanInner;
    const lCentre = centre * leanCentre;
    const lOuter = outer * leanOuter;
    s[3 * COLUMN.camberShare]! += camberLean * lInner;
    s[3 * COLUMN.camberShare + 1]! += camberLean * lCentre;
    s[3 * COLUMN.camberShare + 2]! += camberLean * lOuter;
    s[3 * COLUMN.toeShare]! += toeLean * lInner;
    s[3 * COLUMN.toeShare + 1]! += toeLean * lCentre;
    s[3 * COLUMN.toeShare + 2]! += toeLean * lOuter;
    s[3 * (COLUMN.tilt + axle)]! += lInner;
    s[3 * (COLUMN.tilt + axle) + 1]! += lCentre;
    s[3 * (COLUMN.tilt + axle) + 2]! += lOuter;
    const cInner = inner * crownInner;
    const cCentre = centre * crownCentre;
    const cOuter = outer * crownOuter;
    const pressed = 3 * crown;
    s[3 * COLUMN.crown]! += cInner;
    s[3 * COLUMN.crown + 1]! += cCentre;
    s[3 * COLUMN.crown + 2]! += cOuter;
    s[3 * COLUMN.pressureShare]! += pressed * cInner;
    s[3 * COLUMN.pressureShare + 1]! += pressed * cCentre;
    s[3 * COLUMN.pressureShare + 2]! += pressed * cOuter;
    s[3 * (COLUMN.axleCrown + axle)]! += cInner;
    s[3 * (COLUMN.axleCrown + axle) + 1]! += cCentre;
    s[3 * (COLUMN.axleCrown + axle) + 2]! += cOuter;
    const oInner = outside * inner * outsideInner;
    const oCentre = outside * centre * outsideInner;
    const oOuter = outside * outer * outsideOuter;
    s[3 * COLUMN.corneringShare]! += oInner;
    s[3 * COLUMN.corneringShare + 1]! += oCentre;
    s[3 * COLUMN.corneringShare + 2]! += oOuter;
    const perEdge = 1 / edge;
    const perEven = 1 / even;
    s[3 * (COLUMN.corneringSlip + axle)]! += inner * turnSlip * perEdge;
    s[3 * (COLUMN.corneringSlip + axle) + 1]! += centre * turnSlip * perEven;
    s[3 * (COLUMN.corneringSlip + axle) + 2]! += outer * turnSlip * perEdge;
    const twist = 2 * spin * spin * perEdge;
    s[3 * COLUMN.camberSlip]! += inner * twist;
    s[3 * COLUMN.camberSlip + 2]! += outer * twist;
    s[3 * COLUMN.pressureRate]! += logPressure * inner;
    s[3 * COLUMN.pressureRate + 1]! += logPressure * centre;
    s[3 * COLUMN.pressureRate + 2]! += logPressure * outer;
    const drivingEdge = 2 * driving * perEdge;
    s[3 * (COLUMN.drivingSlip + axle)]! += inner * drivingEdge;
    s[3 * (COLUMN.drivingSlip + axle) + 1]! += centre * 2 * driving * perEven;
    s[3 * (COLUMN.drivingSlip + axle) + 2]! += outer * drivingEdge;
    s[3 * (COLUMN.axleRate + axle)]! += inner;
    s[3 * (COLUMN.axleRate + axle) + 1]! += centre;
    s[3 * (COLUMN.axleRate + axle) + 2]! += outer;
  }
  loss[0] = sumInner;
  loss[1] = sumCentre;
  loss[2] = sumOuter;
  if (newDepthMm > 0) slowDown(loss, newDepthMm, path.lostBefore, sensitivity);
}

/**
 * Wear slows as tread is lost: from L by the rate at half depth to L (1 + g / 2 (1 - L / D)), which is
 * what a rate of 1 + g (1/2 - L / D) adds up to, to first order in g; from a tread that had lost B to
 * L (1 + g / 2 (1 - (2 B + L) / D)).
 */
function slowDown(
  loss: Float64Array,
  newDepthMm: number,
  lostBefore: Float64Array,
  s: Float64Array,
): void {
  for (let rib = 0; rib < 3; rib++) {
    const plain = loss[rib]!;
    const before = lostBefore[rib]! / newDepthMm;
    const end = before + plain / newDepthMm;
    const left = end < 1 ? 1 - before - end : -before;
    const more = 0.5 * left * plain;
    const slope = end < 1 ? 1 + K.depthRate * (left + before - 0.5) : 1 + K.depthRate * 0.5 * left;
    loss[rib] = plain + K.depthRate * more;
    for (let at = rib; at < 3 * Z; at += 3) s[at] = s[at]! * slope;
    s[3 * COLUMN.depthRate + rib] = more;
  }
}

/**
 * The same without the sensitivities, for a first look at a step: a third of the work.
 * @param loss - receives the loss in mm at inner, centre, outer, nuisances taken as zero
 */
export function plainLoss(state: Float64Array, path: TirePath, loss: Float64Array): void {
  const { positions, thousandKm, drivingSlips } = path;
  const pressure = state[AT.pressure + path.tire]!;
  const crown = (K.pressureShare / 3) * (1 - pressure);
  const cornering = state[AT.cornering]!;
  const harder = cornering * cornering - 1;
  const tireRate =
    K.wearRate *
    exp(state[AT.logWearRate]! + logPressureRate(pressure)) *
    (state[AT.bounce + path.tire]! > 0.5 ? K.bounceRate : 1);
  let inner = 0;
  let centre = 0;
  let outer = 0;
  for (let i = 0; i < positions.length; i++) {
    const position = positions[i]!;
    const axle = position >> 1;
    const camber = state[AT.camber + position]!;
    const toe = state[AT.toe + axle]! / 2;
    const wander = state[AT.looseness + axle]!;
    const felt = axle === 0 ? 1 : K.corneringRear;
    const lean = K.camberShare * camber + K.toeShare * toe;
    const outside = K.corneringShare * (cornering - 1) * felt;
    const vInner = 1 + crown - lean;
    const vCentre = 1 - 2 * crown;
    const vOuter = 1 + crown + lean + outside;
    const pInner = vInner + Math.sqrt(vInner * vInner + K.liftOffSquare);
    const pCentre = vCentre + Math.sqrt(vCentre * vCentre + K.liftOffSquare);
    const pOuter = vOuter + Math.sqrt(vOuter * vOuter + K.liftOffSquare);
    const slip = drivingSlips[i]!;
    const ownSlip = slip * slip;
    const driving = ownSlip * (1 + K.corneringSlip * harder);
    const even = (driving > 0 ? driving : 0) + toe * toe + wander * wander;
    const spin = K.camberSlip * camber;
    const edge = even + spin * spin;
    const scale = (3 * tireRate * thousandKm[i]!) / (pInner + pCentre + pOuter);
    inner += scale * pInner * edge;
    centre += scale * pCentre * even;
    outer += scale * pOuter * edge;
  }
  loss[0] = inner;
  loss[1] = centre;
  loss[2] = outer;
  if (path.newDepthMm === 0) return;
  for (let rib = 0; rib < 3; rib++) {
    const plain = loss[rib]!;
    const before = path.lostBefore[rib]! / path.newDepthMm;
    const end = before + plain / path.newDepthMm;
    const left = end < 1 ? 1 - before - end : -before;
    loss[rib] = plain * (1 + 0.5 * K.depthRate * left);
  }
}

const slopes = new Float64Array(3 * Z);

/**
 * Loss of tread at the three ribs of one tire on a car whose unknowns are all given, nuisances included.
 * @param out - receives the loss in mm at inner, centre, outer
 */
export function tireLoss(state: Float64Array, path: TirePath, out: Float64Array): void {
  tireSensitivity(state, path, out, slopes);
  for (let rib = 0; rib < 3; rib++) {
    const plain = out[rib]!;
    let loss = plain;
    for (let column = 0; column < Z; column++) {
      loss += slopes[3 * column + rib]! * state[FIRST + column]!;
    }
    out[rib] = Math.max(LEAST_FACTOR * plain, loss);
  }
}

/** Log of what running pressure does to the whole rate; see {@link PRESSURE_RATE}. */
export function logPressureRate(ratio: number): number {
  const off = Math.min(RATE.limit, Math.max(-RATE.limit, ratio - 1));
  return off * (RATE.linear + RATE.square * off);
}

/**
 * What running pressure does to the whole rate: 1 at the target, 1.22 at 20 % low.
 * @param ratio - running pressure over what the placard asks
 * @returns rate over the rate at the placard’s pressure
 * @example pressureRate(1) // 1
 */
export function pressureRate(ratio: number): number {
  return exp(logPressureRate(ratio));
}
