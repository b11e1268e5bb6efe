import type { VisitDraft } from '@keen/contract';
import { WHEEL_ORDER, WHEELS_OF_AXLE } from '@keen/core';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';
import { t } from '../../words/garage.ts';

/** An angle of a visit: as it was found, and what it was set to. */
export interface AngleChange {
  what: string;
  /** Degrees. */
  found: number;
  /** Degrees; null where it was left. */
  set: number | null;
}

/** Smaller changes than this are the gauge's, degrees. */
const SAME = 0.005;

/** Total toe of each axle and the cambers of a visit, as found and as set. */
export function angleChanges(draft: VisitDraft): AngleChange[] {
  const now = draft.angles;
  const before = draft.visit?.setRight?.before ?? now;
  const row = (what: string, found: number | undefined, set: number | undefined): AngleChange[] => {
    if (found === undefined) return [];
    const isSet = set !== undefined && Math.abs(set - found) > SAME;
    return [{ what, found, set: isSet ? set : null }];
  };
  const total = (angles: typeof now, axle: 'front' | 'rear') => {
    const [left, right] = WHEELS_OF_AXLE[axle].map((wheel) => angles?.[wheel]?.toe);
    return left === undefined || right === undefined ? undefined : left + right;
  };
  return [
    ...row(t('angleChanges.frontTotalToe'), total(before, 'front'), total(now, 'front')),
    ...row(t('angleChanges.rearTotalToe'), total(before, 'rear'), total(now, 'rear')),
    ...WHEEL_ORDER.flatMap((wheel) =>
      row(
        t('angleChanges.camber', { wheel: WHEEL_LABELS[wheel] }),
        before?.[wheel]?.camber,
        now?.[wheel]?.camber,
      ),
    ),
  ];
}
