import type { AdviceCount, Session } from '@keen/contract';
import Papa from 'papaparse';
import { nameOf } from '../../shared/nameOf.ts';
import { adviceWords } from './adviceWords.ts';

/** Counts of visits by person, advice and answer, as a table for other programs. */
export function adviceAsCsv(counts: readonly AdviceCount[], session: Session): string {
  return Papa.unparse(
    counts.map(({ personId, advised, chosen, answer, count }) => ({
      person: nameOf(session, personId),
      advised: adviceWords(advised),
      chosen: adviceWords(chosen),
      answer,
      visits: count,
    })),
    { escapeFormulae: true },
  );
}
