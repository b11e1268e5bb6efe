import type { Axle, Drive } from '@keen/contract/words';

/**
 * The constants of the wear model. Each meets an anchor of the trade (common practice, no published
 * source; the two pressure anchors are recalled from tire makers' advice); wear/anchors.test.ts
 * holds every one of them.
 */

/** Wear of a rib in mm for each 1000 km and degree of slip squared, of an ordinary car. */
export const ABRADABILITY = 0.865;

/** Slip that ordinary driving needs, degrees: driven and steered axles more. */
export const DRIVING_SLIP: Record<Drive, Record<Axle, number>> = {
  fwd: { front: 0.34, rear: 0.26 },
  rwd: { front: 0.31, rear: 0.32 },
  awd: { front: 0.325, rear: 0.29 },
};

/** Log share of contact pressure for each degree of camber at the outer rib. */
export const CAMBER_SHARE = 0.13;
/** Log share for each degree of one wheel's toe at the outer rib. */
export const TOE_SHARE = 0.47;
/** Log share on both shoulders for each unit of (1 - pressure ratio). */
export const PRESSURE_SHARE = 1.4;
/** Log share on the front outer rib for each unit of cornering above the usual. */
export const CORNERING_SHARE = 0.3;
/** The rear feels cornering by this much of what the front does. */
export const CORNERING_REAR = 1 / 3;
/** Driving slip squared grows by this for each unit of cornering above the usual, at the front. */
export const CORNERING_SLIP = 0.3;
/** Slip of a rib away from the centre for each degree of camber, degrees. */
export const CAMBER_SLIP = 0.065;

/**
 * Log of the life factor of pressure: linear and square term in (ratio - 1), so that the whole rate
 * is 1.22 times at 20 % low and 0.94 times at 20 % high.
 */
export const PRESSURE_RATE = {
  linear: Math.log(0.94 / 1.22) / 0.4,
  square: Math.log(0.94 * 1.22) / 0.08,
} as const;
/** Beyond this the pressure factor is no longer extrapolated. */
export const PRESSURE_RATE_LIMIT = 0.5;

/** A tire that a damper or an imbalance makes bounce wears by this much faster. */
export const BOUNCE_RATE = 1.12;

/** How far the formula is trusted; see docs/diagnosis.md for how these were found. */
export const NOISE = {
  /** A factor for the whole tire, log sd. */
  tire: 0.12,
  /** A factor for each rib, log sd. */
  rib: 0.12,
  /** New depth, mm. */
  newDepthMm: 0.15,
  /** A hand reading, before rounding, mm. */
  readingMm: 0.15,
  /** Unevenness between places round a healthy tire, as a part of the loss. */
  stationHealthy: 0.04,
  /** The same on a tire that has been bouncing. */
  stationBounce: 0.16,
} as const;
