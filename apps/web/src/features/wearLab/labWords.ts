import type { Units } from '@keen/contract';
import { formatMoney } from '@keen/core';
import { capital, showFar } from '../../shared/format.ts';
import type { LabCosts } from './labCosts.ts';
import { FURTHEST_KM } from './useLab.ts';
import type { Driven } from './useLab.ts';
import { t } from '../../words/wearLab.ts';
import { whereWords } from '../../words/pageTexts.ts';
import { term } from '../../words/terms.ts';
import { pageLocale } from '../../words/pageLanguage.ts';

/** A set that lives this much longer is worth a word, km. */
const LONGER_KM = 1000;

/** Where the tires end, in a sentence. */
export function headlineOf({ end }: Driven, putRight: Driven, { distance }: Units): string {
  const far = (km: number) => `${showFar(km, distance)} ${distance}`;
  if (!end) return t('labWords.noRibIsAt', { furthestKm: far(FURTHEST_KM) });
  const first = t('labWords.atTheLegalLimit', {
    capital: capital(whereWords(end.wheel)),
    rib: term(`rib.${end.rib}`),
    km: far(end.km),
  });
  const after = putRight.end?.km ?? FURTHEST_KM;
  return after > end.km + LONGER_KM
    ? t('labWords.putRight', { first, after: far(after) })
    : `${first}.`;
}

/** What putting it right costs, and when that is earned back. */
export function workWords(
  { work, paidAfterKm }: LabCosts,
  currency: string,
  { distance }: Units,
): string {
  if (work === 0) return '';
  const price = formatMoney(work, currency, pageLocale, true);
  return paidAfterKm === null || paidAfterKm > FURTHEST_KM
    ? t('labWords.puttingItRightCosts', { price })
    : t('labWords.puttingItRightCostsOnce', {
        price,
        paidAfterKm: showFar(paidAfterKm, distance),
        distance,
      });
}
