import type { DepthUnit, Rib, Visit, Wheel } from '@keen/contract';
import { depthFromMm, WIDE_COLUMNS } from '@keen/core';
import Papa from 'papaparse';
import { z } from 'zod';
import { rememberedMapping } from '../../shared/rememberedMapping.ts';
import { t } from '../../words/today.ts';

const LARGEST_BYTES = 20_000_000;
const MOST_ROWS = 100_000;
const column = z.int().min(0).nullable();

/** How a foreign table of readings is laid out, as it was said last. */
export const readingMappings = rememberedMapping(
  'readingMappings',
  z.record(
    z.string(),
    z.strictObject({
      form: z.enum(['wide', 'long']),
      unit: z.enum(['mm', 'in32']),
      plate: column,
      label: column,
      newDepth: column,
      ribs: z.record(z.string(), z.int().min(0)),
      wheel: column,
      rib: column,
      depth: column,
    }),
  ),
);

export type ReadRows = { ok: true; rows: string[][] } | { ok: false; text: string };

/** Cells of a CSV file or of what was copied from a spreadsheet. */
export function readRows(text: string): ReadRows {
  if (text.length > LARGEST_BYTES) return { ok: false, text: t('readingFiles.itIsTooLarge') };
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' });
  if (data.length < 2) return { ok: false, text: t('readingFiles.aHeadingAndAt') };
  if (data.length > MOST_ROWS + 1) {
    return { ok: false, text: t('readingFiles.atMostLinesAt', { mostRows: MOST_ROWS }) };
  }
  return { ok: true, rows: data };
}

/** The readings of visits as a wide table, the same that is read. */
export function readingsAsCsv(visits: readonly Visit[], unit: DepthUnit): string {
  const rows = visits.map(({ vehicle, draft }) => [
    vehicle.plate,
    vehicle.label,
    draft.tires?.lf?.newDepth === undefined ? '' : depthText(draft.tires.lf.newDepth, unit),
    ...WIDE_COLUMNS.map((name) => {
      const [wheel, rib] = name.split('.') as [Wheel, Rib];
      const reading = draft.tires?.[wheel]?.stations?.[0]?.[rib];
      if (reading === undefined) return '';
      return reading === 'unreadable' ? 'x' : depthText(reading, unit);
    }),
  ]);
  const heading = [
    'plate',
    'label',
    t('readingFiles.newDepth'),
    ...WIDE_COLUMNS.map((name) => name.replace('.', ' ')),
  ];
  return Papa.unparse({ fields: heading, data: rows });
}

/** With its unit, so that whoever reads it needs none. */
function depthText(mm: number, unit: DepthUnit): string {
  return unit === 'mm'
    ? `${Number(mm.toFixed(2))} mm`
    : `${Number(depthFromMm(mm, 'in32').toFixed(1))}/32`;
}
