import type { Instrument } from '@keen/contract';
import Papa from 'papaparse';
import { INSTRUMENT_WORDS, unitOf } from './gaugeWords.ts';

/** Every place of every check as a table for other programs. */
export function checksAsCsv(instruments: readonly Instrument[]): string {
  return Papa.unparse(
    instruments.flatMap(({ name, kind, checks }) =>
      checks.flatMap(({ at, by, points, note }) =>
        points.map(({ known, read }) => ({
          gauge: name,
          kind: INSTRUMENT_WORDS[kind],
          at,
          by,
          unit: unitOf(kind) === 'mm' ? 'mm' : 'degrees',
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
