import type { AdviceCount, Session } from '@keen/contract';
import { actionWords } from '@keen/core';
import Papa from 'papaparse';
import { nameOf } from '../../shared/nameOf.ts';

/** Counts of visits by person, advice and answer, as a table for other programs. */
export function adviceAsCsv(counts: readonly AdviceCount[], session: Session): string {
  return Papa.unparse(
    counts.map(({ personId, advised, chosen, answer, count }) => ({
      person: nameOf(session, personId),
      advised: actionWords(advised, false),
      chosen: actionWords(chosen, false),
      answer,
      visits: count,
    })),
    { escapeFormulae: true },
  );
}
