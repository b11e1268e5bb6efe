import type { Catch, ComebackRow, Comebacks, Return, Work } from '@keen/contract';
import Papa from 'papaparse';
import { t } from '../../words/insights.ts';

/** Work by its name in a table. */
export const WORK_TITLES: Record<Work, string> = {
  aligned: t('comebackWords.alignment'),
  partsThenAligned: t('comebackWords.wornPartsAndAlignment'),
  balancedOrDampers: t('comebackWords.balancingOrDampers'),
  inflated: t('comebackWords.pressuresSet'),
};

export const RETURN_WORDS: Record<Return, string> = {
  measured: t('comebackWords.anglesWereFoundOut'),
  tread: t('comebackWords.theTreadAskedFor'),
  bounce: t('comebackWords.balancingOrDampersWere'),
  pressure: t('comebackWords.pressuresWereOffAgain'),
};

export const CATCH_WORDS: Record<Catch, string> = {
  leftOut: t('comebackWords.itLeftWithAn'),
  notMeasuredAfter: t('comebackWords.noAngleWasRead'),
  playLeft: t('comebackWords.playWasFeltAnd'),
  checkNotMade: t('comebackWords.aCheckWasAdvised'),
  notDecided: t('comebackWords.theTreadWasRead'),
  notRead: t('comebackWords.itWasHereAnd'),
  notShaken: t('comebackWords.nobodyShookTheJoints'),
};

/** Where a comeback could have been caught; "none" where nothing before it would have shown it. */
export function caughtWords({ caughtAt }: ComebackRow): string {
  return caughtAt
    ? t('comebackWords.visit', {
        number: caughtAt.visit.number,
        catchWords: CATCH_WORDS[caughtAt.why],
      })
    : 'none';
}

/** How work held, and what came back, as one table for other programs; distances in km. */
export function comebacksAsCsv(rows: Comebacks['rows']): string {
  return Papa.unparse(
    rows.map((row) => ({
      plate: row.plate,
      car: row.label,
      work: WORK_TITLES[row.work],
      'done at visit': row.done.number,
      'done on': row.done.at.slice(0, 10),
      'back at visit': row.back.number,
      'back on': row.back.at.slice(0, 10),
      'after km': Math.round(row.km),
      how: RETURN_WORDS[row.how],
      'could have been caught': caughtWords(row),
    })),
    { escapeFormulae: true },
  );
}

/** How work held, as a table for other programs. */
export function worksAsCsv({ works, withinKm }: Comebacks): string {
  return Papa.unparse(
    works.map(({ work, done, seenAgain, cameBack, held }) => ({
      work: WORK_TITLES[work],
      done,
      'seen again': seenAgain,
      [`came back within ${withinKm} km`]: cameBack,
      held: held?.part ?? '',
      'held, low': held?.low ?? '',
      'held, high': held?.high ?? '',
    })),
    { escapeFormulae: true },
  );
}
