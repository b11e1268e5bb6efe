import { RIBS } from '@keen/contract/words';
import type { ResolvedCase, ResolvedTire } from '../case/resolveCase.ts';
import { DEPTH_RATE, NEW_DEPTH_SD_MM, RATE_SD, readingVariance } from '../case/treadFacts.ts';
import type { ReadingError } from '../case/treadFacts.ts';
import { WHEEL_ORDER } from '../case/wheels.ts';
import type { TirePath } from '../wear/tireLoss.ts';
import { inverseOf } from '../math/smallMatrix.ts';
import { readingVariances, tireReadings } from './tireReadings.ts';

/** A rib that was not read is one read with no precision at all, mm squared. */
const UNREAD_VAR = 1e6;

/** What the readings of a tire say of the loss at its three ribs over the stretch that counts. */
export interface TireEvidence {
  /** mm at inner, centre, outer; 0 for a rib that was not read. */
  lossMm: Float64Array;
  /** Variance common to the three ribs: the doubt about what they began with, mm2. */
  commonVar: number;
  /** Covariance of the rest by rows, 3 x 3, mm2. */
  covariance: Float64Array;
  /**
   * What today's readings alone say of the loss, where earlier ones have been worked into the above; null
   * where there are none.
   */
  today: { lossMm: Float64Array; variance: Float64Array } | null;
}

/** The evidence of all twelve ribs, tire by tire. */
export function depthEvidence(resolved: ResolvedCase, paths: readonly TirePath[]): TireEvidence[] {
  const earlierVar = readingVariance(resolved.reading);
  return WHEEL_ORDER.map((wheel, at) => {
    const tire = resolved.tires[wheel];
    const plain = todayAlone(tire, resolved.reading);
    const { stretch } = tire;
    // Where it has changed places on the way its ribs do not wear in proportion.
    const isInPlace = new Set(paths[at]!.positions).size === 1;
    if (isInPlace && stretch.within.length > 0) return withEarlier(tire, plain, earlierVar);
    return stretch.isFromNew ? plain : fromReading(plain, earlierVar);
  });
}

function todayAlone(tire: ResolvedTire, reading: ReadingError): TireEvidence {
  const readings = tireReadings(tire);
  const lossMm = Float64Array.from(readings.lossMm, (loss) => (Number.isNaN(loss) ? 0 : loss));
  const covariance = new Float64Array(9);
  readingVariances(readings, reading).forEach((variance, rib) => {
    covariance[4 * rib] = variance > 0 ? variance : UNREAD_VAR;
  });
  return { lossMm, commonVar: NEW_DEPTH_SD_MM ** 2, covariance, today: null };
}

/** A stretch that began with a reading: each rib's beginning has an error of its own. */
function fromReading(plain: TireEvidence, earlierVar: number): TireEvidence {
  const covariance = plain.covariance.slice();
  for (let rib = 0; rib < 3; rib++) covariance[4 * rib]! += earlierVar;
  return { ...plain, commonVar: 0, covariance, today: todayOf(plain) };
}

function todayOf({ lossMm, covariance }: TireEvidence) {
  return { lossMm, variance: Float64Array.of(covariance[0]!, covariance[4]!, covariance[8]!) };
}

/**
 * Works earlier readings of a tire that stayed in its place into one statement about today's loss.
 *
 * Each reading j saw the part p_j of today's loss r, by distance and by how wear slows: y_j = p_j r + b + e_j,
 * with b the error of the beginning and e_j that of the reading and of a rate that was not quite the same.
 * Given r none of that depends on the cause of wear, so the likelihood of all y is, as a function of r, that
 * of one normal: the generalised least squares estimate with its covariance (Aitken 1936).
 */
function withEarlier(tire: ResolvedTire, plain: TireEvidence, earlierVar: number): TireEvidence {
  const { newDepthMm, stretch } = tire;
  const { distanceKm, fromMm, isFromNew, within } = stretch;
  const rows: { rib: number; part: number; lossMm: number; variance: number }[] = [];
  RIBS.forEach((rib, at) => {
    const isRead = tire.readMm[rib].length > 0;
    const last = within.findLast(({ depthMm }) => depthMm[rib] !== null);
    // About how much was lost by now: what the part of an earlier reading is taken of.
    const about = isRead
      ? plain.lossMm[at]!
      : last
        ? ((fromMm[rib] - last.depthMm[rib]!) * distanceKm) / (distanceKm - last.agoKm)
        : 0;
    const slowed = (loss: number) =>
      1 + (DEPTH_RATE / 2) * (1 - (2 * (newDepthMm - fromMm[rib]) + loss) / newDepthMm);
    if (isRead) {
      rows.push({
        rib: at,
        part: 1,
        lossMm: plain.lossMm[at]!,
        variance: plain.covariance[4 * at]!,
      });
    }
    for (const { agoKm, depthMm } of within) {
      const depth = depthMm[rib];
      if (depth === null) continue;
      const lossMm = fromMm[rib] - depth;
      const part = Math.min(
        1,
        (((distanceKm - agoKm) / distanceKm) * slowed(lossMm)) / slowed(about),
      );
      const drift = RATE_SD * Math.SQRT2 * part * (1 - part) * Math.max(0, about);
      rows.push({ rib: at, part, lossMm, variance: earlierVar + drift ** 2 });
    }
  });
  const size = rows.length;
  const errors = rows.map((a, i) =>
    rows.map((b, j) => {
      const begun = isFromNew ? NEW_DEPTH_SD_MM ** 2 : a.rib === b.rib ? earlierVar : 0;
      return begun + (i === j ? a.variance : 0);
    }),
  );
  const precision = inverseOf(errors);
  const information = [0, 1, 2].map((rib) =>
    [0, 1, 2].map((other) => {
      let sum = rib === other ? 1 / UNREAD_VAR : 0;
      for (let i = 0; i < size; i++) {
        if (rows[i]!.rib !== rib) continue;
        for (let j = 0; j < size; j++) {
          if (rows[j]!.rib !== other) continue;
          sum += rows[i]!.part * precision[i]![j]! * rows[j]!.part;
        }
      }
      return sum;
    }),
  );
  const weighed = [0, 1, 2].map((rib) => {
    let sum = 0;
    for (let i = 0; i < size; i++) {
      if (rows[i]!.rib !== rib) continue;
      for (let j = 0; j < size; j++) sum += rows[i]!.part * precision[i]![j]! * rows[j]!.lossMm;
    }
    return sum;
  });
  const covariance = inverseOf(information);
  return {
    lossMm: Float64Array.from(covariance, (row) =>
      row.reduce((sum, value, rib) => sum + value * weighed[rib]!, 0),
    ),
    commonVar: 0,
    covariance: Float64Array.from(covariance.flat()),
    today: todayOf(plain),
  };
}
