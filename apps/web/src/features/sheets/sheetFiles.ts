import type { SpecSheet } from '@keen/contract';
import { refusalOf, SPEC_FORMAT, specSheetSchema } from '@keen/contract';
import Papa from 'papaparse';
import { SHEET_COLUMNS, sheetOfTexts, textsOfSheet } from './sheetValues.ts';

const LARGEST_BYTES = 5_000_000;
const MOST_SHEETS = 500;
/** Where the CSV reader puts cells that stand under no heading. */
const SURPLUS = '__parsed_extra';

/** What a file of sheets turned out to hold: what can be kept, and every fault with its place. */
export interface ReadSheets {
  sheets: SpecSheet[];
  faults: string[];
}

/** Reads one sheet or a list of them as JSON, or a CSV with one sheet a line. */
export function readSheets(text: string): ReadSheets {
  if (text.length > LARGEST_BYTES) return { sheets: [], faults: ['The file is too large.'] };
  const start = text.trimStart()[0];
  const read = start === '{' || start === '[' ? readJson(text) : readCsv(text);
  if (read.sheets.length <= MOST_SHEETS) return read;
  return {
    sheets: read.sheets.slice(0, MOST_SHEETS),
    faults: [...read.faults, `Only the first ${MOST_SHEETS} sheets can be taken in at once.`],
  };
}

function readJson(text: string): ReadSheets {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return { sheets: [], faults: ['It starts like JSON, and is none.'] };
  }
  const list = Array.isArray(data) ? data : [data];
  const sheets: SpecSheet[] = [];
  const faults: string[] = [];
  list.forEach((item: unknown, i) => {
    const parsed = specSheetSchema.safeParse(item);
    if (parsed.success) sheets.push(parsed.data);
    else {
      const { path, expected } = refusalOf(parsed.error);
      const place = list.length > 1 ? `Sheet ${i + 1}, ` : '';
      faults.push(`${place}${path || 'the whole'}: expected ${expected || SPEC_FORMAT}`);
    }
  });
  return { sheets, faults };
}

function readCsv(text: string): ReadSheets {
  const { data, meta } = Papa.parse<Record<string, string>>(text, {
    header: true,
    skipEmptyLines: 'greedy',
  });
  const columns = meta.fields ?? [];
  if (!columns.includes('name')) {
    return {
      sheets: [],
      faults: ['Line 1: expected a column called name, and those of the template.'],
    };
  }
  const sheets: SpecSheet[] = [];
  const faults = columns
    .filter((column) => column && !SHEET_COLUMNS.includes(column))
    .map((column) => `Line 1: ${column} is no column of a sheet; it was left out.`);
  data.forEach((line, i) => {
    if (SURPLUS in line) {
      faults.push(`Line ${i + 2}: more cells than the heading has columns.`);
      return;
    }
    const read = sheetOfTexts({ kind: 'maker', ...withoutEmpty(line) });
    if (read.ok) sheets.push(read.sheet);
    else {
      for (const [path, expected] of Object.entries(read.faults)) {
        faults.push(`Line ${i + 2}, ${path}: expected ${expected}`);
      }
    }
  });
  return { sheets, faults };
}

function withoutEmpty(line: Record<string, string>): Record<string, string> {
  return Object.fromEntries(Object.entries(line).filter(([, text]) => text?.trim()));
}

/** Sheets as CSV: one line each, the same columns that are read. */
export function sheetsAsCsv(sheets: readonly SpecSheet[]): string {
  const rows = sheets.map((sheet) => {
    const texts = textsOfSheet(sheet);
    return SHEET_COLUMNS.map((column) => texts[column] ?? '');
  });
  return Papa.unparse({ fields: [...SHEET_COLUMNS], data: rows });
}
