import type { SpecSheet } from '@keen/contract';
import { validationIssueOf, specSheetSchema } from '@keen/contract';
import Papa from 'papaparse';
import { SHEET_COLUMNS, sheetOfTexts, textsOfSheet } from './sheetValues.ts';
import { expectedWords } from '../../words/expected.ts';
import { t } from '../../words/sheets.ts';

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
  if (text.length > LARGEST_BYTES) return { sheets: [], faults: [t('sheetFiles.theFileIsToo')] };
  const start = text.trimStart()[0];
  const read = start === '{' || start === '[' ? readJson(text) : readCsv(text);
  if (read.sheets.length <= MOST_SHEETS) return read;
  return {
    sheets: read.sheets.slice(0, MOST_SHEETS),
    faults: [...read.faults, t('sheetFiles.onlyTheFirstSheets', { mostSheets: MOST_SHEETS })],
  };
}

function readJson(text: string): ReadSheets {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return { sheets: [], faults: [t('sheetFiles.itStartsLikeJson')] };
  }
  const list = Array.isArray(data) ? data : [data];
  const sheets: SpecSheet[] = [];
  const faults: string[] = [];
  list.forEach((item: unknown, i) => {
    const parsed = specSheetSchema.safeParse(item);
    if (parsed.success) sheets.push(parsed.data);
    else {
      const wrong = validationIssueOf(parsed.error);
      const place = list.length > 1 ? t('sheetFiles.sheet', { i: i + 1 }) : '';
      faults.push(
        t('sheetFiles.expected', {
          place,
          path: wrong.path || t('sheetFiles.theWhole'),
          expected: expectedWords(wrong),
        }),
      );
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
      faults: [t('sheetFiles.line1ExpectedA')],
    };
  }
  const sheets: SpecSheet[] = [];
  const faults = columns
    .filter((column) => column && !SHEET_COLUMNS.includes(column))
    .map((column) => t('sheetFiles.line1IsNo', { column }));
  data.forEach((line, i) => {
    if (SURPLUS in line) {
      faults.push(t('sheetFiles.lineMoreCellsThan', { i: i + 2 }));
      return;
    }
    const read = sheetOfTexts({ kind: 'maker', ...withoutEmpty(line) });
    if (read.ok) sheets.push(read.sheet);
    else {
      for (const [path, expected] of Object.entries(read.faults)) {
        faults.push(t('sheetFiles.lineExpected', { i: i + 2, path, expected }));
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
