import type { Axle, PutRight } from '@keen/contract/words';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { WHEEL_ORDER } from '../case/wheels.ts';

/**
 * What the history of a car means for its wear, each a fact of the trade (common practice, no source).
 * `docs/diagnosis.md` lists what each field of a visit does.
 */
export interface HistoryFacts {
  /** A kerb or a pothole: an angle is likelier out, and since then only. */
  isKnocked: boolean;
  /** New suspension parts since the last alignment. */
  hasNewParts: boolean;
  /** How the body stands at each axle against how it was built, by its height, a kit or its usual load. */
  stands: Record<Axle, 'asBuilt' | 'lower' | 'higher'>;
  /** Lifted, lowered, or said to be; a load is none of it. */
  isHeightChanged: boolean;
  /** Aligned before most of the wear: toe wear that has come back since is likelier worn joints. */
  isAlignedBefore: boolean;
  /** Aligned after most of the wear, and nothing has moved the angles since: what wore it may have been put right. */
  isAlignedLately: boolean;
  /** What was put right when the stretch began that the answer speaks of. */
  putRight: readonly PutRight[];
  /** The trouble shows when braking and at no other time: a pull is then the brakes'. */
  isOnlyBraking: boolean;
  /** The angles of today have probably not been there for most of the distance. */
  areAnglesRecent: boolean;
}

/** A body this far from its height has other angles than it was built with, mm. */
const CHANGED_HEIGHT_MM = 15;
/** Aligned before this part of the tires' distance at least: most of the wear came after. */
const MOST = 0.7;
/** An alignment longer ago than this many times their distance says nothing of it any more. */
const LONG_AGO = 1.5;

/** Reads the facts out of a case. */
export function historyFacts(resolved: ResolvedCase): HistoryFacts {
  const { rideHeightChangeMm: height, history } = resolved;
  const said = (event: (typeof history.startedAfter)[number]) =>
    history.startedAfter.includes(event);
  const isLoaded = history.load === 'trunk' || history.load === 'both';
  const stands = (axle: Axle) => {
    if (height[axle] >= CHANGED_HEIGHT_MM) return 'higher';
    if (height[axle] <= -CHANGED_HEIGHT_MM) return 'lower';
    return axle === 'rear' && isLoaded ? 'lower' : 'asBuilt';
  };
  const isKnocked = said('kerb') || said('pothole');
  const hasNewParts = said('parts');
  const isHeightChanged =
    said('lift') || Math.max(Math.abs(height.front), Math.abs(height.rear)) >= CHANGED_HEIGHT_MM;
  const run = Math.max(...WHEEL_ORDER.map((wheel) => resolved.tires[wheel].stretch.distanceKm));
  const ago = history.alignedAgoKm;
  const since = ago === null || run === 0 ? null : ago / run;
  const isSetLate = since !== null && since < 1 - MOST;
  const putRight = resolved.since?.putRight ?? [];
  return {
    isKnocked,
    hasNewParts,
    stands: { front: stands('front'), rear: stands('rear') },
    isHeightChanged,
    isAlignedBefore:
      putRight.includes('angles') || (since !== null && since >= MOST && since <= LONG_AGO),
    isAlignedLately: isSetLate && !isKnocked && !hasNewParts && !isHeightChanged,
    putRight,
    isOnlyBraking: history.occasions.length === 1 && history.occasions[0] === 'braking',
    areAnglesRecent: isKnocked || hasNewParts || said('lift') || isSetLate,
  };
}
