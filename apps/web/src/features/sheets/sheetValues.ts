import type { SpecKind, SpecSheet } from '@keen/contract';
import { toeFromText } from '@keen/core';
import { validationIssuesOf, SPEC_FORMAT, SPEC_VERSION, specSheetSchema } from '@keen/contract';
import { expectedWords } from '../../words/expected.ts';
import { t } from '../../words/sheets.ts';

/**
 * A sheet as it stands in a form or a line of CSV: every figure as text under its path. Empty is a
 * figure nobody knows; nothing turns into 0.
 */
export type SheetTexts = Record<string, string>;

/** Figures of a sheet: path, what it is called, its unit. */
export interface Figure {
  path: string;
  label: string;
  unit: string;
}

const limits = (path: string): Figure[] => [
  { path: `${path}.low`, label: t('sheetValues.from'), unit: '°' },
  { path: `${path}.target`, label: t('sheetValues.target'), unit: '°' },
  { path: `${path}.high`, label: t('sheetValues.to'), unit: '°' },
];

/** Angles with limits, as they stand on the page and in the CSV. */
export const LIMIT_ROWS: readonly { title: string; path: string }[] = [
  { title: t('sheetValues.camberFront'), path: 'camber.front' },
  { title: t('sheetValues.camberRear'), path: 'camber.rear' },
  { title: t('sheetValues.casterFront'), path: 'caster.front' },
  { title: t('sheetValues.saiKpiFront'), path: 'sai.front' },
  { title: t('sheetValues.totalToeFront'), path: 'totalToe.front' },
  { title: t('sheetValues.totalToeRear'), path: 'totalToe.rear' },
  { title: t('sheetValues.toeOutOnTurns'), path: 'toeOutOnTurns' },
];

export const MOST_FIGURES: readonly Figure[] = [
  { path: 'crossCamber', label: t('sheetValues.crossCamberAtMost'), unit: '°' },
  { path: 'crossCaster', label: t('sheetValues.crossCasterAtMost'), unit: '°' },
  { path: 'thrust', label: t('sheetValues.thrustAtMost'), unit: '°' },
  { path: 'steeringRatio', label: t('sheetValues.steeringRatio'), unit: ': 1' },
];

export const REACH_FIGURES: readonly Figure[] = [
  { path: 'reach.camber.front', label: t('sheetValues.camberFront'), unit: '°' },
  { path: 'reach.caster.front', label: t('sheetValues.casterFront'), unit: '°' },
  { path: 'reach.toe.front', label: t('sheetValues.toeFront'), unit: '°' },
  { path: 'reach.camber.rear', label: t('sheetValues.camberRear'), unit: '°' },
  { path: 'reach.toe.rear', label: t('sheetValues.toeRear'), unit: '°' },
];

export const HEIGHT_FIGURES: readonly Figure[] = [
  { path: 'height.front.low', label: t('sheetValues.frontFrom'), unit: 'mm' },
  { path: 'height.front.high', label: t('sheetValues.frontTo'), unit: 'mm' },
  { path: 'height.rear.low', label: t('sheetValues.rearFrom'), unit: 'mm' },
  { path: 'height.rear.high', label: t('sheetValues.rearTo'), unit: 'mm' },
];

const NUMBERS: readonly string[] = [
  ...LIMIT_ROWS.flatMap(({ path }) => limits(path).map((figure) => figure.path)),
  ...[...MOST_FIGURES, ...REACH_FIGURES, ...HEIGHT_FIGURES].map(({ path }) => path),
];
const WORDS: readonly string[] = ['name', 'kind', 'source', 'sourceDate', 'conditions', 'note'];

/** Every column of a CSV, in its order. */
export const SHEET_COLUMNS: readonly string[] = [...WORDS, ...NUMBERS, 'torque'];

export const NEW_SHEET: SheetTexts = { kind: 'maker' satisfies SpecKind };

/** The texts that a sheet stands as. */
export function textsOfSheet(sheet: SpecSheet): SheetTexts {
  const texts: SheetTexts = {};
  for (const path of [...WORDS, ...NUMBERS]) {
    const value = path
      .split('.')
      .reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], sheet);
    if (typeof value === 'string' || typeof value === 'number') texts[path] = String(value);
  }
  if (sheet.torque) {
    texts.torque = sheet.torque
      .map(({ fastener, newtonMetres }) => `${fastener}: ${newtonMetres}`)
      .join('; ');
  }
  return texts;
}

export type ReadSheet =
  { ok: true; sheet: SpecSheet } | { ok: false; faults: Record<string, string> };

/** Reads texts into a sheet; what is wrong comes back by its path. */
export function sheetOfTexts(texts: SheetTexts): ReadSheet {
  const sheet: Record<string, unknown> = { format: SPEC_FORMAT, version: SPEC_VERSION };
  const faults: Record<string, string> = {};
  for (const path of WORDS) {
    const text = texts[path]?.trim();
    if (text) sheet[path] = text;
  }
  for (const path of NUMBERS) {
    const text = texts[path]?.trim() ?? '';
    if (text === '') continue;
    const value = figureIn(path, text);
    if (value === null) faults[path] = isToe(path) ? TOE_EXPECTED : t('sheetValues.aNumberSuchAs');
    else put(sheet, path.split('.'), value);
  }
  const torque = torqueOf(texts.torque ?? '');
  if (torque === null) faults.torque = t('sheetValues.aFastenerAndIts');
  else if (torque.length > 0) sheet.torque = torque;
  if (Object.keys(faults).length > 0) return { ok: false, faults };
  const parsed = specSheetSchema.safeParse(sheet);
  if (parsed.success) return { ok: true, sheet: parsed.data };
  return {
    ok: false,
    faults: Object.fromEntries(
      validationIssuesOf(parsed.error).map((wrong) => [wrong.path, expectedWords(wrong)]),
    ),
  };
}

const TOE_EXPECTED = t('sheetValues.aToeSuchAs');

const isToe = (path: string) => path.startsWith('totalToe.') || path.startsWith('reach.toe.');

/** A figure as it is printed; toe in any of its units, kept in degrees. */
function figureIn(path: string, text: string): number | null {
  if (isToe(path)) {
    const toe = toeFromText(text, path.startsWith('totalToe.'));
    return toe === null ? null : Number(toe.toFixed(4));
  }
  const value = Number(text.replace(/[−–]/g, '-').replace(',', '.'));
  return Number.isFinite(value) ? value : null;
}

function put(at: Record<string, unknown>, keys: string[], value: number): void {
  const [key, ...rest] = keys as [string, ...string[]];
  if (rest.length === 0) at[key] = value;
  else put((at[key] ??= {}) as Record<string, unknown>, rest, value);
}

function torqueOf(text: string): { fastener: string; newtonMetres: number }[] | null {
  const lines = text
    .split(/[;\n]+/)
    .map((line) => line.trim())
    .filter(Boolean);
  const read = lines.map((line) => /^(.+?):\s*([\d.,]+)\s*(?:N·?m)?$/i.exec(line));
  if (read.some((match) => match === null)) return null;
  return read.map((match) => ({
    fastener: match![1]!.trim(),
    newtonMetres: Number(match![2]!.replace(',', '.')),
  }));
}
