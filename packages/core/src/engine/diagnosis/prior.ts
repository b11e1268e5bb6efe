import type { ResolvedCase } from '../case/resolveCase.ts';
import { exp, log as ln } from '../math/elementary.ts';
import type { Axle } from '@keen/contract/words';
import { historyFacts } from './historyFacts.ts';
import type { HistoryFacts } from './historyFacts.ts';
import { NOISE } from '../wear/constants.ts';
import { FIRST_NUISANCE, SPREAD, STATE } from '../wear/state.ts';
import { HARD_CORNERING, LOOSE_DEG } from '../wear/faults.ts';

/**
 * The cars that come in. A fifth are always well kept; in the others the faults come independently.
 * The rates are those of the trade (common practice, no source); over all cars front toe is out on
 * 30 %, rear toe 15 %, camber 25 %, pressure 25 %, cups 10 %, loose joints 10 %, hard cornering 10 %.
 */
export const WELL_KEPT = 0.2;
export const FAULT_RATE = {
  frontToe: 0.3,
  rearToe: 0.15,
  camber: 0.25,
  pressure: 0.25,
  bounce: 0.1,
  looseness: 0.1,
  hardCornering: 0.1,
} as const;

/** How the excess beyond tolerance falls off, and which way it goes. */
export const EXCESS = {
  toeDeg: 0.35,
  camberDeg: 0.8,
  pressure: 0.12,
  loosenessDeg: 0.12,
  cornering: 0.5,
} as const;
export const CAMBER_NEGATIVE = 2 / 3;
export const PRESSURE_LOW = 0.7;
/** Of loose cars, the part that is loose at the front only, the rear only, both. */
export const LOOSE_WHERE = { front: 0.75, rear: 0.15, both: 0.1 } as const;
/** Of cars with camber out: one wheel, both of an axle, any other set. */
export const CAMBER_WHERE = { one: 0.4, axle: 0.4, other: 0.2 } as const;
/** Of the axles with camber out on both wheels, the part where both lean the same way. */
export const CAMBER_SAME_SIGN = 0.85;
export const PRESSURE_WHERE = { one: 0.5, all: 1 / 3, other: 1 / 6 } as const;
export const BOUNCE_WHERE = { one: 0.6, axle: 0.4 } as const;

/** Spread in tolerance: toe and pressure about normal around the middle, cut at the tolerance. */
const TOE_SD_IN_TOLERANCE = 0.25;
const PRESSURE_SD_IN_TOLERANCE = 0.4;
const LOOSE_SD_DEG = 0.05;
const CORNERING_SD = 0.2;
const LOWEST_PRESSURE = 0.3;
const HARD_CORNERING_ON_TRACK = 0.6;
/** How often a driver who is said to drive so corners hard (common practice, no source). */
const HARD_CORNERING_BY_DRIVER = { gentle: 0.03, usual: null, hard: 0.4 } as const;
/** A changed ride height or a knock makes an angle out likelier; leaned on weakly. */
const HEIGHT_FACTOR = 1.5;
const KNOCK_FACTOR = 1.5;
/** Of camber that is out on a car that has sunk, the part that is too negative. */
const NEGATIVE_WHEN_SUNK = 0.85;
/** The same when lifted, by the arms that carry the wheel: struts lean out, two arms lean in. */
const NEGATIVE_WHEN_LIFTED = { strut: 0.45, twoArms: 0.8 } as const;
/** Aligned before most of this wear: the angles are likelier right, and what moves them likelier worn. */
const ALIGNED_BEFORE = { angles: 0.5, looseness: 2 } as const;
const HIGHEST_RATE = 0.8;

// Looked up once: some loaders resolve an imported name at every use, and this runs very often.
const AT = { ...STATE };
const IS_LOOSE_FROM = LOOSE_DEG;
const IS_HARD_FROM = HARD_CORNERING;
const SD = { ...SPREAD };
const LOG_SQRT_2PI = 0.9189385332046727;
const REFUSED = Number.NEGATIVE_INFINITY;

/** What the draws of a simulator and the density below share. */
export interface PriorRates {
  wellKept: number;
  /** Given not well kept. */
  frontToe: number;
  rearToe: number;
  camber: number;
  camberNegative: [number, number];
  pressure: number;
  bounce: number;
  looseness: number;
  hardCornering: number;
}

/** The rates for this car, given that it is not one of the well kept. */
export function priorRates(resolved: ResolvedCase): PriorRates {
  const rest = 1 - WELL_KEPT;
  const facts = historyFacts(resolved);
  const onTrack = resolved.use === 'track' || resolved.use === 'drift';
  const byDriver = HARD_CORNERING_BY_DRIVER[resolved.history.driver];
  const knocked = facts.isKnocked ? KNOCK_FACTOR : 1;
  const aligned = facts.isAlignedBefore ? ALIGNED_BEFORE : { angles: 1, looseness: 1 };
  const moved = facts.stands.front !== 'asBuilt' || facts.stands.rear !== 'asBuilt';
  const rate = (usual: number, factor: number) => Math.min(HIGHEST_RATE, (usual / rest) * factor);
  return {
    wellKept: WELL_KEPT,
    frontToe: rate(FAULT_RATE.frontToe, knocked * aligned.angles),
    rearToe: rate(FAULT_RATE.rearToe, knocked * aligned.angles),
    camber: rate(FAULT_RATE.camber, (moved ? HEIGHT_FACTOR : 1) * knocked * aligned.angles),
    camberNegative: [
      negativeShare(resolved, facts, 'front'),
      negativeShare(resolved, facts, 'rear'),
    ],
    pressure: FAULT_RATE.pressure / rest,
    bounce: FAULT_RATE.bounce / rest,
    looseness: rate(FAULT_RATE.looseness, aligned.looseness),
    hardCornering: onTrack
      ? HARD_CORNERING_ON_TRACK
      : (byDriver ?? FAULT_RATE.hardCornering) / rest,
  };
}

function negativeShare(resolved: ResolvedCase, { stands }: HistoryFacts, axle: Axle): number {
  if (stands[axle] === 'lower') return NEGATIVE_WHEN_SUNK;
  const suspension = resolved.history.suspension[axle];
  return stands[axle] === 'higher' && (suspension === 'strut' || suspension === 'twoArms')
    ? NEGATIVE_WHEN_LIFTED[suspension]
    : CAMBER_NEGATIVE;
}

/** Elements that {@link createLogPrior} looks at: everything that can be out. */
export const FAULT_ELEMENTS: readonly number[] = [
  ...[0, 1, 2, 3].flatMap((wheel) => [
    STATE.camber + wheel,
    STATE.pressure + wheel,
    STATE.bounce + wheel,
  ]),
  ...[0, 1].flatMap((axle) => [STATE.toe + axle, STATE.looseness + axle]),
  STATE.cornering,
];
/** Elements that {@link createLogOddities} looks at: everything else that is sampled. */
export const ODDITY_ELEMENTS: readonly number[] = Array.from(
  { length: FIRST_NUISANCE },
  (_, element) => element,
).filter((element) => !FAULT_ELEMENTS.includes(element));

/** Log density of what is out and by how much, up to a constant. */
export type LogPrior = (state: Float64Array) => number;

/** Builds the log prior of a case; all tables are made once, each call only looks up. */
export function createLogPrior(resolved: ResolvedCase): LogPrior {
  const rates = priorRates(resolved);
  const { camber, totalToe, pressure } = resolved.tolerances;
  const camberRanges = [camber.front, camber.rear] as const;
  const toeRanges = [totalToe.front, totalToe.rear] as const;
  const toeDensity = toeRanges.map(([low, high]) => {
    const sd = (high - low) * TOE_SD_IN_TOLERANCE;
    const mid = (low + high) / 2;
    return { mid, sd, log: -ln(sd * normalMass((high - low) / 2 / sd)) - LOG_SQRT_2PI };
  });
  const camberUniform = camberRanges.map(([low, high]) => -ln(high - low));
  const pressureSd = pressure * PRESSURE_SD_IN_TOLERANCE;
  const pressureLog = -ln(pressureSd * normalMass(pressure / pressureSd)) - LOG_SQRT_2PI;
  const looseLog =
    -ln(LOOSE_SD_DEG * normalMass(LOOSE_DEG / LOOSE_SD_DEG)) - LOG_SQRT_2PI + Math.LN2;
  const corneringLog =
    -ln(CORNERING_SD * normalCdf((HARD_CORNERING - 1) / CORNERING_SD)) - LOG_SQRT_2PI;
  const logTail = {
    toe: -ln(EXCESS.toeDeg),
    camber: -ln(EXCESS.camberDeg),
    pressure: -ln(EXCESS.pressure),
    loose: -ln(EXCESS.loosenessDeg),
    cornering: -ln(EXCESS.cornering),
  };
  const camberTable = camberPatterns(rates);
  const pressureTable = pressurePatterns();
  const bounceTable = bouncePatterns();
  const looseTable = [0, LOOSE_WHERE.front, LOOSE_WHERE.rear, LOOSE_WHERE.both];

  // Flat, for the innermost loop: bounds and norms by axle.
  const camberLow = Float64Array.from(camberRanges, ([low]) => low);
  const camberHigh = Float64Array.from(camberRanges, ([, high]) => high);
  const camberIn = Float64Array.from(camberUniform);
  const toeLow = Float64Array.from(toeRanges, ([low]) => low);
  const toeHigh = Float64Array.from(toeRanges, ([, high]) => high);
  const toeMid = Float64Array.from(toeDensity, ({ mid }) => mid);
  const toePrecision = Float64Array.from(toeDensity, ({ sd }) => 0.5 / (sd * sd));
  const toeIn = Float64Array.from(toeDensity, ({ log: norm }) => norm);
  const toeRate = Float64Array.from([rates.frontToe, rates.rearToe]);
  const pressurePrecision = 0.5 / (pressureSd * pressureSd);
  const { toeDeg, camberDeg, pressure: pressureExcess } = EXCESS;

  return (state) => {
    let log = 0;
    let pattern = 1;
    let clean = true;

    let camberCode = 0;
    let pressureCode = 0;
    for (let wheel = 3; wheel >= 0; wheel--) {
      const axle = wheel >> 1;
      const value = state[AT.camber + wheel]!;
      const under = camberLow[axle]! - value;
      const over = value - camberHigh[axle]!;
      camberCode *= 3;
      if (under > 0) {
        camberCode += 1;
        log += logTail.camber - under / camberDeg;
      } else if (over > 0) {
        camberCode += 2;
        log += logTail.camber - over / camberDeg;
      } else log += camberIn[axle]!;

      const off = state[AT.pressure + wheel]! - 1;
      pressureCode *= 3;
      if (off < -pressure) {
        if (off < LOWEST_PRESSURE - 1) return REFUSED;
        pressureCode += 1;
        log += logTail.pressure + (pressure + off) / pressureExcess;
      } else if (off > pressure) {
        pressureCode += 2;
        log += logTail.pressure - (off - pressure) / pressureExcess;
      } else log += pressureLog - pressurePrecision * off * off;
    }
    if (camberCode > 0 || pressureCode > 0) clean = false;
    pattern *= camberCode > 0 ? rates.camber * camberTable[camberCode]! : 1 - rates.camber;
    pattern *=
      pressureCode > 0 ? rates.pressure * pressureTable[pressureCode]! : 1 - rates.pressure;

    for (let axle = 0; axle < 2; axle++) {
      const value = state[AT.toe + axle]!;
      const under = toeLow[axle]! - value;
      const over = value - toeHigh[axle]!;
      if (under > 0 || over > 0) {
        clean = false;
        pattern *= toeRate[axle]! / 2;
        log += logTail.toe - (under > 0 ? under : over) / toeDeg;
      } else {
        const off = value - toeMid[axle]!;
        pattern *= 1 - toeRate[axle]!;
        log += toeIn[axle]! - toePrecision[axle]! * off * off;
      }
    }

    let looseCode = 0;
    for (let axle = 0; axle < 2; axle++) {
      const value = state[AT.looseness + axle]!;
      if (value < 0) return REFUSED;
      if (value >= IS_LOOSE_FROM) {
        looseCode |= 1 << axle;
        log += logTail.loose - (value - IS_LOOSE_FROM) / EXCESS.loosenessDeg;
      } else log += looseLog - 0.5 * (value / LOOSE_SD_DEG) * (value / LOOSE_SD_DEG);
    }
    if (looseCode > 0) clean = false;
    pattern *= looseCode > 0 ? rates.looseness * looseTable[looseCode]! : 1 - rates.looseness;

    const cornering = state[AT.cornering]!;
    if (cornering < 0) return REFUSED;
    if (cornering >= IS_HARD_FROM) {
      clean = false;
      pattern *= rates.hardCornering;
      log += logTail.cornering - (cornering - IS_HARD_FROM) / EXCESS.cornering;
    } else {
      const z = (cornering - 1) / CORNERING_SD;
      pattern *= 1 - rates.hardCornering;
      log += corneringLog - 0.5 * z * z;
    }

    let bounceCode = 0;
    for (let tire = 0; tire < 4; tire++)
      if (state[AT.bounce + tire]! > 0.5) bounceCode |= 1 << tire;
    if (bounceCode > 0) clean = false;
    pattern *= bounceCode > 0 ? rates.bounce * bounceTable[bounceCode]! : 1 - rates.bounce;

    const mixed = (1 - rates.wellKept) * pattern + (clean ? rates.wellKept : 0);
    return log + ln(mixed);
  };
}

/** The day's gauge: now and then all four are read warm, or with one bad gauge. */
export const GAUGE = { sd: 0.02, tail: 0.15, tailSd: 0.08 } as const;

/**
 * Log density of what is sampled and no fault: rate of wear, the car's own scatter, the day's gauge, and
 * the oddities that a car may have one of each: an odd tire, a wrong reading, an axle of another age.
 */
export function createLogOddities(resolved: ResolvedCase): LogPrior {
  const distances = Object.values(resolved.tires).map(({ distanceKm }) => distanceKm);
  // Where every tire has a distance of its own, its age is known.
  const mayAge = distances.every((km) => km === distances[0]);
  const { oddTireRate, oddReadingRate, otherAgeRate, scale } = NOISE;
  const logs = {
    oddTire: ln(oddTireRate / (1 - 4 * oddTireRate)),
    oddReading: ln(oddReadingRate / (1 - 12 * oddReadingRate)),
    otherAge: mayAge ? ln(otherAgeRate / 2 / (1 - otherAgeRate)) : REFUSED,
  };
  const gaugeNear = (1 - GAUGE.tail) / GAUGE.sd;
  const gaugeFar = GAUGE.tail / GAUGE.tailSd;
  const nearHalf = -0.5 / (GAUGE.sd * GAUGE.sd);
  const farHalf = -0.5 / (GAUGE.tailSd * GAUGE.tailSd);
  const rateHalf = -0.5 / (SD.logWearRate * SD.logWearRate);
  const scaleHalf = -0.5 / (scale * scale);
  return (state) => {
    const rate = state[AT.logWearRate]!;
    const noise = state[AT.noise]!;
    const gauge = state[AT.gauge]! * state[AT.gauge]!;
    let log = rateHalf * rate * rate + scaleHalf * noise * noise;
    log += ln(gaugeNear * exp(nearHalf * gauge) + gaugeFar * exp(farHalf * gauge));
    if (state[AT.oddTire]! > 0) log += logs.oddTire;
    if (state[AT.oddReading]! > 0) log += logs.oddReading;
    if (state[AT.otherAge]! > 0) log += logs.otherAge;
    return log;
  };
}

/**
 * Chance of each set of wheels with camber out, given that some is; wheels as digits of base 3
 * (0 in tolerance, 1 too negative, 2 too positive), lf the lowest digit.
 */
export function camberPatterns(rates: Pick<PriorRates, 'camberNegative'>): Float64Array {
  const table = new Float64Array(81);
  const sign = (digit: number, axle: number) =>
    digit === 1 ? rates.camberNegative[axle]! : 1 - rates.camberNegative[axle]!;
  let others = 0;
  for (let code = 1; code < 81; code++) {
    const digits = digitsOf(code);
    const out = digits.flatMap((digit, wheel) => (digit > 0 ? [wheel] : []));
    const first = out[0]!;
    if (out.length === 1) {
      table[code] = (CAMBER_WHERE.one / 4) * sign(digits[first]!, first >> 1);
    } else if (out.length === 2 && first % 2 === 0 && out[1] === first + 1) {
      const same = digits[first] === digits[first + 1];
      table[code] =
        (CAMBER_WHERE.axle / 2) *
        (same ? CAMBER_SAME_SIGN * sign(digits[first]!, first >> 1) : (1 - CAMBER_SAME_SIGN) / 2);
    } else {
      table[code] = -out.reduce((product, wheel) => product * sign(digits[wheel]!, wheel >> 1), 1);
      others -= table[code]!;
    }
  }
  return table.map((value) => (value < 0 ? (-value / others) * CAMBER_WHERE.other : value));
}

/** Chance of each set of tires with pressure out, given that some is; digits as for camber. */
export function pressurePatterns(): Float64Array {
  const table = new Float64Array(81);
  const sign = (digit: number) => (digit === 1 ? PRESSURE_LOW : 1 - PRESSURE_LOW);
  let others = 0;
  for (let code = 1; code < 81; code++) {
    const digits = digitsOf(code);
    const out = digits.filter((digit) => digit > 0);
    const same = out.every((digit) => digit === out[0]);
    if (out.length === 1) table[code] = (PRESSURE_WHERE.one / 4) * sign(out[0]!);
    else if (out.length === 4 && same) table[code] = PRESSURE_WHERE.all * sign(out[0]!);
    else {
      table[code] = -out.reduce((product, digit) => product * sign(digit), 1);
      others -= table[code]!;
    }
  }
  return table.map((value) => (value < 0 ? (-value / others) * PRESSURE_WHERE.other : value));
}

/** Chance of each set of bouncing tires, given that some is; tires as bits, lf the lowest. */
export function bouncePatterns(): Float64Array {
  const table = new Float64Array(16);
  const rest = 0.02;
  for (let code = 1; code < 16; code++) {
    const count = [0, 1, 2, 3].filter((tire) => code & (1 << tire)).length;
    if (count === 1) table[code] = ((1 - rest) * BOUNCE_WHERE.one) / 4;
    else if (code === 0b0011 || code === 0b1100) table[code] = ((1 - rest) * BOUNCE_WHERE.axle) / 2;
    else table[code] = rest / 9;
  }
  return table;
}

function digitsOf(code: number): number[] {
  return [code % 3, Math.floor(code / 3) % 3, Math.floor(code / 9) % 3, Math.floor(code / 27)];
}

/** Chance that a standard normal lies within +-z. */
function normalMass(z: number): number {
  return 2 * normalCdf(z) - 1;
}

/** Abramowitz and Stegun, Handbook of Mathematical Functions, 26.2.17; error below 7.5e-8. */
export function normalCdf(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const poly =
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  const tail = exp(-0.5 * z * z - LOG_SQRT_2PI) * poly;
  return z >= 0 ? 1 - tail : tail;
}
