import type { Units } from '@keen/contract';
import { depthFromMm, distanceToKm } from '@keen/core';
import type { Work } from '@keen/contract';
import type { RateChange } from '@keen/core';
import { showWhole } from '../../shared/format.ts';

/** Wear is told for this distance, in the reader's unit. */
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
  return `${depth} in ${showWhole(PER_DISTANCE)} ${units.distance}`;
}

export const WORK_WORDS: Record<Work, string> = {
  aligned: 'the alignment',
  partsThenAligned: 'the new parts and the alignment',
  balancedOrDampers: 'the balancing or the new dampers',
  inflated: 'the pressures were set',
};

export const CHANGE_WORDS: Record<RateChange['kind'], string> = {
  slower: 'slower',
  faster: 'faster',
  same: 'about the same',
  tooLittle: 'too little run to tell',
};
