import type { Instrument } from '@keen/contract';
import { INSTRUMENT_FACTS } from '@keen/core';
import Papa from 'papaparse';
import { measureTexts } from '../../words/core/measure.ts';

/** Every place of every check as a table for other programs. */
export function checksAsCsv(instruments: readonly Instrument[]): string {
  return Papa.unparse(
    instruments.flatMap(({ name, kind, checks }) =>
      checks.flatMap(({ at, by, points, note }) =>
        points.map(({ known, read }) => ({
          gauge: name,
          kind: measureTexts.instruments[kind].title,
          at,
          by,
          unit: INSTRUMENT_FACTS[kind].unit === 'mm' ? 'mm' : 'degrees',
          known,
          read,
          error: Number((read - known).toFixed(4)),
          note,
        })),
      ),
    ),
    { escapeFormulae: true },
  );
}
