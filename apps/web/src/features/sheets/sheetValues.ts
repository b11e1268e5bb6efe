import type { SpecKind, SpecSheet } from '@keen/contract';
import { toeFromText } from '@keen/core';
import { refusalsOf, SPEC_FORMAT, SPEC_VERSION, specSheetSchema } from '@keen/contract';

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
  { path: `${path}.low`, label: 'from', unit: '°' },
  { path: `${path}.target`, label: 'target', unit: '°' },
  { path: `${path}.high`, label: 'to', unit: '°' },
];

/** Angles with limits, as they stand on the page and in the CSV. */
export const LIMIT_ROWS: readonly { title: string; path: string }[] = [
  { title: 'Camber, front', path: 'camber.front' },
  { title: 'Camber, rear', path: 'camber.rear' },
  { title: 'Caster, front', path: 'caster.front' },
  { title: 'SAI (KPI), front', path: 'sai.front' },
  { title: 'Total toe, front', path: 'totalToe.front' },
  { title: 'Total toe, rear', path: 'totalToe.rear' },
  { title: 'Toe-out on turns at 20°', path: 'toeOutOnTurns' },
];

export const MOST_FIGURES: readonly Figure[] = [
  { path: 'crossCamber', label: 'Cross camber, at most', unit: '°' },
  { path: 'crossCaster', label: 'Cross caster, at most', unit: '°' },
  { path: 'thrust', label: 'Thrust, at most', unit: '°' },
  { path: 'steeringRatio', label: 'Steering ratio', unit: ': 1' },
];

export const REACH_FIGURES: readonly Figure[] = [
  { path: 'reach.camber.front', label: 'Camber, front', unit: '°' },
  { path: 'reach.caster.front', label: 'Caster, front', unit: '°' },
  { path: 'reach.toe.front', label: 'Toe, front', unit: '°' },
  { path: 'reach.camber.rear', label: 'Camber, rear', unit: '°' },
  { path: 'reach.toe.rear', label: 'Toe, rear', unit: '°' },
];

export const HEIGHT_FIGURES: readonly Figure[] = [
  { path: 'height.front.low', label: 'Front, from', unit: 'mm' },
  { path: 'height.front.high', label: 'Front, to', unit: 'mm' },
  { path: 'height.rear.low', label: 'Rear, from', unit: 'mm' },
  { path: 'height.rear.high', label: 'Rear, to', unit: 'mm' },
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
    if (value === null) faults[path] = isToe(path) ? TOE_EXPECTED : 'a number, such as -0.5';
    else put(sheet, path.split('.'), value);
  }
  const torque = torqueOf(texts.torque ?? '');
  if (torque === null)
    faults.torque = 'a fastener and its N·m, such as Wheel nuts: 120; Tie rod: 55';
  else if (torque.length > 0) sheet.torque = torque;
  if (Object.keys(faults).length > 0) return { ok: false, faults };
  const parsed = specSheetSchema.safeParse(sheet);
  if (parsed.success) return { ok: true, sheet: parsed.data };
  return {
    ok: false,
    faults: Object.fromEntries(
      refusalsOf(parsed.error).map(({ path, expected }) => [path, expected]),
    ),
  };
}

const TOE_EXPECTED = 'a toe, such as 0.1, 6′, 2 mm at 430 or 1/16 in at 25';

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
