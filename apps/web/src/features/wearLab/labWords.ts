import type { Units } from '@keen/contract';
import { formatMoney, whereWords } from '@keen/core';
import { capital, showFar } from '../../shared/format.ts';
import type { LabCosts } from './labCosts.ts';
import { FURTHEST_KM } from './useLab.ts';
import type { Driven } from './useLab.ts';

/** A set that lives this much longer is worth a word, km. */
const LONGER_KM = 1000;

/** Where the tires end, in a sentence. */
export function headlineOf({ end }: Driven, putRight: Driven, { distance }: Units): string {
  const far = (km: number) => `${showFar(km, distance)} ${distance}`;
  if (!end) return `No rib is at the legal limit before ${far(FURTHEST_KM)}.`;
  const first = `${capital(whereWords(end.wheel))}, ${end.rib}: at the legal limit after ${far(end.km)}`;
  const after = putRight.end?.km ?? FURTHEST_KM;
  return after > end.km + LONGER_KM ? `${first}; put right, ${far(after)}.` : `${first}.`;
}

/** What putting it right costs, and when that is earned back. */
export function workWords(
  { work, paidAfterKm }: LabCosts,
  currency: string,
  { distance }: Units,
): string {
  if (work === 0) return '';
  const price = formatMoney(work, currency, 'en', true);
  return paidAfterKm === null || paidAfterKm > FURTHEST_KM
    ? `Putting it right costs ${price} and does not pay for itself in tires.`
    : `Putting it right costs ${price} once and has paid for itself in tires after ${showFar(paidAfterKm, distance)} ${distance}.`;
}
