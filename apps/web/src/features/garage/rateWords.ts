import type { Units } from '@keen/contract';
import { depthFromMm, distanceToKm } from '@keen/core';
import type { Work } from '@keen/contract';
import type { RateChange } from '@keen/core';
import { showWhole } from '../../shared/format.ts';
import { t } from '../../words/garage.ts';

/** Wear is given for this distance, in the reader's unit. */
const PER_DISTANCE = 10_000;
const KM = 10_000;

/** A rate of wear as a figure in the reader's units. @param mm - in 10,000 km */
export function showRate(mm: number, units: Units): string {
  const perDistance = (mm / KM) * distanceToKm(PER_DISTANCE, units.distance);
  return Math.max(0, depthFromMm(perDistance, units.depth)).toFixed(1);
}

/** The unit of {@link showRate}. */
export function rateUnit(units: Units): string {
  const depth = units.depth === 'mm' ? 'mm' : '/32 in';
  return t('rateWords.in', {
    depth,
    perDistance: showWhole(PER_DISTANCE),
    distance: units.distance,
  });
}

export const WORK_WORDS: Record<Work, string> = {
  aligned: t('rateWords.theAlignment'),
  partsThenAligned: t('rateWords.theNewPartsAnd'),
  balancedOrDampers: t('rateWords.theBalancingOrThe'),
  inflated: t('rateWords.thePressuresWereSet'),
};

export const CHANGE_WORDS: Record<RateChange['kind'], string> = {
  slower: t('rateWords.slower'),
  faster: t('rateWords.faster'),
  same: t('rateWords.aboutTheSame'),
  tooLittle: t('rateWords.tooLittleRunTo'),
};
