import type { Rib } from '@keen/contract/words';
import { RIBS } from '@keen/contract/words';
import {
  NEW_DEPTH_SD_MM,
  RATE_SD,
  READING_SD_MM,
  readingVariance,
  ROUNDING_MM,
} from '../engine/case/treadFacts.ts';
import type { TireLife, TirePoint } from '../visit/tireLives.ts';

/** What a tire lost over a stretch of its life. */
export interface WearStretch {
  /** The visit at which the stretch began; null for the tire's first, which began when it was new. */
  fromVisit: string | null;
  toVisit: string;
  km: number;
  /** mm in 10,000 km at each rib; null where either end was not read. */
  rate: Record<Rib, number | null>;
  /** Standard error of such a rate from the readings alone, mm in 10,000 km. */
  sd: number;
  /** Of that, what the reading at its end brings, mm. */
  endSdMm: number;
}

/** How a rib's rate of wear changed from one stretch to the next. */
export interface RateChange {
  rib: Rib;
  /** mm in 10,000 km. */
  before: number;
  now: number;
  /** Standard error of the difference. */
  sd: number;
  /** What the difference is worth: only one beyond two standard errors is called a change. */
  kind: 'slower' | 'faster' | 'same' | 'tooLittle';
}

/** Over less than this nothing can be said of a rate, km. */
const LEAST_KM = 1_000;
/** A difference this many standard errors from none is one (95 % by chance alone). */
const SURE_SDS = 2;
/** A comparison that could not see a rate halved says too little, as a part of the earlier rate. */
const SEEN_PART = 0.5;
const KM = 10_000;

/**
 * What a tire lost from one reading to the next, its first stretch from new.
 * @returns oldest first; stretches under 1,000 km and those of unknown distance are joined to the next
 */
export function wearStretches(life: TireLife): WearStretch[] {
  const stretches: WearStretch[] = [];
  let from: TirePoint | null = null;
  for (const point of life.points) {
    const km = kmBetween(from, point);
    if (km === null || km < LEAST_KM) {
      // A first reading without a distance is still where the next stretch begins.
      if (from === null && km === null) from = point;
      continue;
    }
    const start = (rib: Rib) => (from ? from.ribs[rib] : life.newDepthMm);
    const rate = Object.fromEntries(
      RIBS.map((rib) => {
        const [then, now] = [start(rib), point.ribs[rib]];
        return [rib, then === null || now === null ? null : ((then - now) / km) * KM];
      }),
    ) as Record<Rib, number | null>;
    const startSd = from ? readingSd(from) : NEW_DEPTH_SD_MM;
    const endSdMm = readingSd(point);
    stretches.push({
      fromVisit: from?.visitId ?? null,
      toVisit: point.visitId,
      km,
      rate,
      sd: (Math.hypot(startSd, endSdMm) / km) * KM,
      endSdMm,
    });
    from = point;
  }
  return stretches.filter(({ rate }) => RIBS.some((rib) => rate[rib] !== null));
}

function readingSd({ readIn }: TirePoint): number {
  return Math.sqrt(readingVariance({ sdMm: READING_SD_MM, roundingMm: ROUNDING_MM[readIn] }));
}

function kmBetween(from: TirePoint | null, to: TirePoint): number | null {
  if (from === null) return to.km;
  if (from.km !== null && to.km !== null) return to.km - from.km;
  if (from.odometerKm !== null && to.odometerKm !== null) return to.odometerKm - from.odometerKm;
  return null;
}

/**
 * Compares two stretches at the rib that lost most. The rib that looks fastest in one stretch is partly so
 * by its reading's error, and would always seem to slow down; the one that has lost most by now always to
 * speed up. What is lost at both readings is weighted so that their errors take no side.
 * @returns null when no rib was read at all three ends
 */
export function rateChange(before: WearStretch, now: WearStretch): RateChange | null {
  const both = RIBS.filter((rib) => before.rate[rib] !== null && now.rate[rib] !== null);
  const lost = (one: Rib) => {
    const first = before.rate[one]! * before.km;
    return first + (1 + now.km / before.km) * (first + now.rate[one]! * now.km);
  };
  const [rib] = both.toSorted((a, b) => lost(b) - lost(a));
  if (rib === undefined) return null;
  const [was, is] = [before.rate[rib]!, now.rate[rib]!];
  // The reading between them ends one and begins the other, so its error counts in both.
  const sd = Math.hypot(
    before.sd,
    now.sd,
    RATE_SD * Math.max(was, 0),
    Math.sqrt(2 / before.km / now.km) * before.endSdMm * KM,
  );
  const difference = is - was;
  const kind =
    Math.abs(difference) > SURE_SDS * sd
      ? difference < 0
        ? 'slower'
        : 'faster'
      : SURE_SDS * sd > SEEN_PART * Math.max(was, 0)
        ? 'tooLittle'
        : 'same';
  return { rib, before: was, now: is, sd, kind };
}
