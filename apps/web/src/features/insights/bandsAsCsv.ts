import type { Reliability } from '@keen/core';
import Papa from 'papaparse';

/** The bands as a table for other programs; parts from 0 to 1. */
export function bandsAsCsv({ bands }: Reliability): string {
  const part = (value: number) => Number(value.toFixed(4));
  return Papa.unparse(
    bands.map(({ from, to, said, found }) => ({
      from,
      to,
      chances: found.of,
      'said on average': part(said),
      'came true': part(found.part),
      low: part(found.low),
      high: part(found.high),
    })),
    { escapeFormulae: true },
  );
}
