import type { Catch, ComebackRow, Comebacks, Return, Work } from '@keen/contract';
import Papa from 'papaparse';
import { showWhole } from '../../shared/format.ts';

/** Work by its name in a table. */
export const WORK_TITLES: Record<Work, string> = {
  aligned: 'Alignment',
  partsThenAligned: 'Worn parts and alignment',
  balancedOrDampers: 'Balancing or dampers',
  inflated: 'Pressures set',
};

export const RETURN_WORDS: Record<Return, string> = {
  measured: 'angles were found out again',
  tread: 'the tread asked for an alignment again',
  bounce: 'balancing or dampers were advised again',
  pressure: 'pressures were off again',
};

export const CATCH_WORDS: Record<Catch, string> = {
  leftOut: 'it left with an angle out of its limits',
  notMeasuredAfter: 'no angle was read after the work',
  playLeft: 'play was felt, and the part stayed in',
  checkNotMade: 'a check was advised and not made',
  notDecided: 'the tread was read and nothing was advised',
  notRead: 'it was here and its tread was not read',
  notShaken: 'nobody shook the joints',
};

/** Where a comeback could have been caught; "none" where nothing before it would have shown it. */
export function caughtWords({ caughtAt }: ComebackRow): string {
  return caughtAt ? `visit ${caughtAt.visit.number}: ${CATCH_WORDS[caughtAt.why]}` : 'none';
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
      [`came back within ${showWhole(withinKm)} km`]: cameBack,
      held: held?.part ?? '',
      'held, low': held?.low ?? '',
      'held, high': held?.high ?? '',
    })),
    { escapeFormulae: true },
  );
}
