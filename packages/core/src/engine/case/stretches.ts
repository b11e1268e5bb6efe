import type { PutRight, Rib, Wheel } from '@keen/contract/words';
import { RIBS } from '@keen/contract/words';
import { DEPTH_RATE, NEW_DEPTH_SD_MM, RATE_SD, readingVariance } from './treadFacts.ts';
import type { ReadingError } from './treadFacts.ts';
import { WHEEL_ORDER } from './wheels.ts';

/** An earlier reading of tires that are on the car today, in SI. */
export interface EarlierTread {
  /** Run since, km. */
  agoKm: number;
  /** Mean depth at each rib, mm, by where the tire is today; null for a tire or rib that was not read. */
  depthMm: Record<Wheel, Record<Rib, number | null>>;
  /** What was put right then: from there on the tires wear otherwise. */
  putRight: readonly PutRight[];
}

/** The part of its life in which a tire has worn as the car is today. */
export interface Stretch {
  /** Run in it, km. */
  distanceKm: number;
  /** Depth of each rib when it began, mm. */
  fromMm: Record<Rib, number>;
  /** Whether it began when the tire was new, so that one error is common to its ribs. */
  isFromNew: boolean;
  /** Readings within it, before today's, oldest first. */
  within: { agoKm: number; depthMm: Record<Rib, number | null> }[];
}

/** Since when the answer speaks of the tires, where that is not their whole life. */
export interface Since {
  agoKm: number;
  /** Something was put right then, or the tread has worn differently since. */
  because: 'putRight' | 'changed';
  /** What was put right; nothing where the tread tells the change. */
  putRight: readonly PutRight[];
}

interface TireNow {
  newDepthMm: number;
  distanceKm: number;
  readMm: Record<Rib, number[]>;
  /** Whether it has been at other wheels. */
  hasMoved: boolean;
}

/**
 * A rib whose wear since the last reading is off from what went before by more than this many standard
 * errors, or two of them by a little less, did not wear so before: something has begun, or ended.
 */
const CHANGED_SDS = 4;
const CHANGED_SDS_OF_TWO = 3.2;
/** So far a healthy driven axle loses about a millimetre, and an edge shows what wears it, km. */
const TELLS_ALONE_KM = 10_000;
/** A shorter way says nothing of a change, km. */
const LEAST_KM = 1_500;

/**
 * Cuts the life of the four tires where they began to wear as they do today: at the last visit at which
 * what wears them was put right, or at the last reading when the tread has plainly worn differently since. One
 * driver and one set of roads make a car wear faster or slower as a whole, so only what a rib does beside
 * the others counts as a change.
 * @param earlier - oldest first
 * @param reading - how far a reading may be off
 */
export function stretches(
  tires: Record<Wheel, TireNow>,
  earlier: readonly EarlierTread[],
  reading: ReadingError,
): { byWheel: Record<Wheel, Stretch>; since: Since | null } {
  const cut = earlier.findLastIndex((reading) => beginsAnew(reading) && isWhole(tires, reading));
  const whole = cutAt(tires, earlier, cut);
  const last = earlier.length - 1;
  if (
    last > cut &&
    isWhole(tires, earlier[last]!) &&
    hasChanged(tires, whole, earlier[last]!, readingVariance(reading))
  ) {
    return {
      byWheel: cutAt(tires, earlier, last),
      since: { agoKm: earlier[last]!.agoKm, because: 'changed', putRight: [] },
    };
  }
  return {
    byWheel: whole,
    since:
      cut < 0
        ? null
        : { agoKm: earlier[cut]!.agoKm, because: 'putRight', putRight: earlier[cut]!.putRight },
  };
}

/**
 * Whether the tires are looked at from that visit on. With the angles set nothing of before holds any more.
 * Pressures or balance alone put no angle right: an edge that was worn before still tells of it, until the
 * stretch since is long enough to tell by itself.
 */
function beginsAnew({ putRight, agoKm }: EarlierTread): boolean {
  return putRight.includes('angles') || (putRight.length > 0 && agoKm >= TELLS_ALONE_KM);
}

/** Whether a reading tells how every tire stood that was on the car then. */
function isWhole(tires: Record<Wheel, TireNow>, { agoKm, depthMm }: EarlierTread): boolean {
  return WHEEL_ORDER.every(
    (wheel) =>
      agoKm >= tires[wheel].distanceKm || RIBS.every((rib) => depthMm[wheel][rib] !== null),
  );
}

/** @param at - index of the reading that the stretch begins with; -1 for the whole life */
function cutAt(
  tires: Record<Wheel, TireNow>,
  earlier: readonly EarlierTread[],
  at: number,
): Record<Wheel, Stretch> {
  const start = earlier[at];
  return Object.fromEntries(
    WHEEL_ORDER.map((wheel): [Wheel, Stretch] => {
      const { newDepthMm, distanceKm } = tires[wheel];
      const then = start?.depthMm[wheel];
      const within = earlier
        .slice(at + 1)
        .flatMap(({ agoKm, depthMm }) =>
          agoKm < distanceKm && RIBS.some((rib) => depthMm[wheel][rib] !== null)
            ? [{ agoKm, depthMm: depthMm[wheel] }]
            : [],
        );
      // A tire that was not wholly read then, or came later, is looked at from new.
      if (!start || !then || start.agoKm >= distanceKm || RIBS.some((rib) => then[rib] === null)) {
        const fromMm = { inner: newDepthMm, centre: newDepthMm, outer: newDepthMm };
        return [wheel, { distanceKm, fromMm, isFromNew: true, within }];
      }
      const fromMm = then as Record<Rib, number>;
      return [wheel, { distanceKm: start.agoKm, fromMm, isFromNew: false, within }];
    }),
  ) as Record<Wheel, Stretch>;
}

function hasChanged(
  tires: Record<Wheel, TireNow>,
  whole: Record<Wheel, Stretch>,
  last: EarlierTread,
  readingVar: number,
): boolean {
  if (last.agoKm < LEAST_KM) return false;
  const ribs = WHEEL_ORDER.flatMap((wheel) => {
    const { distanceKm, fromMm, isFromNew } = whole[wheel];
    const { newDepthMm, readMm, hasMoved } = tires[wheel];
    // Elsewhere its ribs wear in other proportions anyway.
    if (hasMoved) return [];
    const firstKm = distanceKm - last.agoKm;
    if (firstKm < LEAST_KM) return [];
    return RIBS.flatMap((rib) => {
      const [then, now] = [last.depthMm[wheel][rib], meanOf(readMm[rib])];
      if (then === null || now === null) return [];
      const before = Math.max(0, fromMm[rib] - then);
      const since = then - now;
      // What the rate of the first part would have taken in the second, slower as tread is lost.
      const slower =
        slowing(fromMm[rib] - then + since / 2, newDepthMm) / slowing(before / 2, newDepthMm);
      const ratio = (last.agoKm / firstKm) * slower;
      const startVar = isFromNew ? NEW_DEPTH_SD_MM ** 2 : readingVar;
      const variance =
        readingVar * (1 + (1 + ratio) ** 2) +
        startVar * ratio ** 2 +
        (RATE_SD * before * ratio) ** 2;
      return [{ before, ratio, since, sd: Math.sqrt(variance) }];
    });
  });
  if (ribs.length === 0) return false;
  // How much faster or slower the car as a whole has been wearing.
  const rates = ribs
    .filter(({ before }) => before > 0.3)
    .map(({ before, ratio, since }) => since / (before * ratio))
    .toSorted((a, b) => a - b);
  const common = Math.min(2, Math.max(0.5, rates[rates.length >> 1] ?? 1));
  const off = ribs
    .map(({ before, ratio, since, sd }) => Math.abs(since - common * before * ratio) / sd)
    .toSorted((a, b) => b - a);
  return off[0]! > CHANGED_SDS || (off[1] ?? 0) > CHANGED_SDS_OF_TWO;
}

/** Rate at a loss, against that at half depth; see {@link DEPTH_RATE}. */
function slowing(lostMm: number, newDepthMm: number): number {
  return 1 + DEPTH_RATE * (0.5 - lostMm / newDepthMm);
}

function meanOf(values: readonly number[]): number | null {
  return values.length === 0 ? null : values.reduce((sum, value) => sum + value, 0) / values.length;
}
