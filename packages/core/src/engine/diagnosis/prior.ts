import type { ResolvedCase } from '../case/resolveCase.ts';
import { exp, log as ln } from '../math/elementary.ts';
import { normalCdf } from '../math/normal.ts';
import { NOISE } from '../wear/constants.ts';
import { FIRST_NUISANCE, SPREAD, STATE } from '../wear/state.ts';
import { HARD_CORNERING, LOOSE_DEG } from '../wear/faults.ts';
import { bouncePatterns, camberPatterns, LOOSE_WHERE, pressurePatterns } from './faultPatterns.ts';
import { priorRates } from './faultRates.ts';

/** How the excess beyond tolerance falls off, and which way it goes. */
export const EXCESS = {
  toeDeg: 0.35,
  camberDeg: 0.8,
  pressure: 0.12,
  loosenessDeg: 0.12,
  cornering: 0.5,
} as const;
/** Spread in tolerance: toe and pressure about normal around the middle, cut at the tolerance. */
const TOE_SD_IN_TOLERANCE = 0.25;
const PRESSURE_SD_IN_TOLERANCE = 0.4;
const LOOSE_SD_DEG = 0.05;
const CORNERING_SD = 0.2;
const LOWEST_PRESSURE = 0.3;
// Looked up once: some loaders resolve an imported name at every use, and this runs very often.
const AT = { ...STATE };
const IS_LOOSE_FROM = LOOSE_DEG;
const IS_HARD_FROM = HARD_CORNERING;
const LOG_SQRT_2PI = 0.9189385332046727;
const REFUSED = Number.NEGATIVE_INFINITY;

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
  const tires = Object.values(resolved.tires);
  // Where every tire has a distance of its own, or was read before, its age is known.
  const mayAge = tires.every(
    ({ distanceKm, stretch }) =>
      distanceKm === tires[0]!.distanceKm && stretch.isFromNew && stretch.within.length === 0,
  );
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
  const { mean: rateMean, sd: rateSd } = resolved.constants?.traits.wearRate ?? {
    mean: 0,
    sd: SPREAD.logWearRate,
  };
  const rateHalf = -0.5 / (rateSd * rateSd);
  const scaleHalf = -0.5 / (scale * scale);
  return (state) => {
    const rate = state[AT.logWearRate]! - rateMean;
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

/** Chance that a standard normal lies within +-z. */
function normalMass(z: number): number {
  return 2 * normalCdf(z) - 1;
}
