import { NEW_DEPTH_SD_MM, READING_SD_MM } from '../case/treadFacts.ts';
import type { Axle, Drive } from '@keen/contract/words';

/**
 * The constants of the wear model. Each meets an anchor of the trade (common practice, no published
 * source; the pressure anchors as recalled from memory of tire makers' advice); tireLoss.test.ts holds
 * every one of them. How far each may be off is in {@link SPREAD} of state.ts.
 */

/** Wear of a rib in mm for each 1000 km and degree of slip squared, of an ordinary car. */
export const WEAR_RATE = 0.865;

/** Slip that ordinary driving needs, degrees: driven and steered axles more. */
export const DRIVING_SLIP: Record<Drive, Record<Axle, number>> = {
  fwd: { front: 0.34, rear: 0.26 },
  rwd: { front: 0.31, rear: 0.32 },
  awd: { front: 0.325, rear: 0.29 },
};

/** Part of the contact pressure that a degree of camber moves to the outer rib. */
export const CAMBER_SHARE = 0.13;
/** The same for a degree of one wheel's toe. */
export const TOE_SHARE = 0.47;
/** Part of the contact pressure that goes from centre to shoulders for each unit of (1 - pressure ratio). */
export const PRESSURE_SHARE = 1.42;
/** What the front outer rib gains for each unit of cornering above the usual. */
export const CORNERING_SHARE = 0.25;
/** The rear's outer rib gains this much of what the front's does. */
export const CORNERING_REAR = 0.4;
/**
 * Driving slip squared grows by this times (cornering squared - 1): with side force squared, a third a
 * unit at the front. How much it is, and at the rear most of all, is very uncertain.
 */
export const CORNERING_SLIP = 0.16;
/** Slip of a rib away from the centre for each degree of camber, degrees. */
export const CAMBER_SLIP = 0.065;
/** Handed driving changes the rate of the outside tires by this much of what it leans them. */
export const HAND_RATE = 0.5;
/** Roundness of the corner at which a rib lifts off the road, as a part of its mean pressure. */
export const LIFT_OFF = 0.2;

/**
 * Log of the life factor of pressure: linear and square term in (ratio - 1), so that the whole rate
 * is 1.22 times at 20 % low and 0.94 times at 20 % high: ln(0.94 / 1.22) / 0.4 and ln(0.94 x 1.22) / 0.08.
 */
export const PRESSURE_RATE = { linear: -0.6518156561581318, square: 1.7121931878384695 } as const;
/** Beyond this the pressure factor is no longer extrapolated. */
export const PRESSURE_RATE_LIMIT = 0.5;

/** A tire that a damper or an imbalance makes bounce wears by this much faster. */
export const BOUNCE_RATE = 1.12;

/** How far the formula is trusted; see docs/diagnosis.md for how these were found. */
export const NOISE = {
  /** A factor for the whole tire, relative sd on a car of ordinary scatter. */
  tire: 0.07,
  /** A factor for each rib, the same. */
  rib: 0.035,
  /** Log sd of a car's own scale of scatter. */
  scale: 0.35,
  /** The same for the two tires of an axle that are known to be of different line or age. */
  differingTire: 0.18,
  /** Relative sd of an axle's rate where its tires are known to differ from the other axle's. */
  differingAxle: 0.3,
  /** A tire that is odd for reasons the model does not know: relative sd of its factor. */
  oddTire: 0.35,
  /** Chance that a tire is odd. */
  oddTireRate: 0.015,
  /** A wrong reading: sd, mm. */
  oddReadingMm: 2,
  /** Chance that a rib's reading is wrong. */
  oddReadingRate: 0.005,
  /** Chance that the tires of an axle are of another age where one distance is given for all four. */
  otherAgeRate: 0.15,
  /** Log sd of the axle's rate in that case. */
  otherAge: 0.8,
  /** New depth, mm. */
  newDepthMm: NEW_DEPTH_SD_MM,
  /** A hand reading, before rounding, mm. */
  readingMm: READING_SD_MM,
  /** Unevenness between places round a healthy tire, as a part of the loss. */
  stationHealthy: 0.04,
  /** The same on a tire that has been bouncing. */
  stationBounce: 0.16,
  /** Log sd of either from tire to tire. */
  stationSpread: 0.4,
} as const;
