import type { ToeUnit } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';
import { toeConvert } from '../../calculators/angles/toeConvert.ts';
import { InputError } from '../../engine/errors/InputError.ts';
import type { TableTexts } from '../../words/screens/index.ts';
import type { Angles } from './angleLedger.ts';

/** The angles of one wheel, as columns of a table can hold them. */
export const TABLE_ANGLES = ['camber', 'caster', 'sai', 'toe'] as const;
export type TableAngle = (typeof TABLE_ANGLES)[number];

/** How a table of angles, one line a wheel, is to be read. */
export interface AngleMapping {
  /** Column that names the wheel. */
  wheel: number | null;
  columns: Record<TableAngle, number | null>;
  /** Angles whose sign is the opposite of ours. */
  flipped: Record<TableAngle, boolean>;
  /** Unit of camber, caster and inclination. */
  angleUnit: 'deg' | 'min';
  toeUnit: ToeUnit;
  /** Where toe was taken as a length, mm. */
  diameter: number | null;
}

/** What is wrong with a cell; lines count from 1, the heading is line 1. */
export interface TableFault {
  line: number;
  column: number;
  expected: string;
}

const WHEEL_NAMES: Record<Wheel, readonly string[]> = {
  lf: ['lf', 'fl', 'leftfront', 'frontleft', 'vl', 'avg', 'di'],
  rf: ['rf', 'fr', 'rightfront', 'frontright', 'vr', 'avd', 'dd'],
  lr: ['lr', 'rl', 'leftrear', 'rearleft', 'hl', 'arg', 'ti'],
  rr: ['rr', 'rightrear', 'rearright', 'hr', 'ard', 'td'],
};
const ANGLE_NAMES: Record<TableAngle, readonly string[]> = {
  camber: ['camber'],
  caster: ['caster', 'castor'],
  sai: ['sai', 'kpi', 'kingpin', 'inclination'],
  toe: ['toe'],
};
const MOST_DEG = 30;

/**
 * Reads the headings of a table as well as can be guessed; everything may be changed after.
 * @param header - headings, left to right
 * @example guessAngleMapping(['Wheel', 'Camber', 'Toe']).columns.camber // 1
 */
export function guessAngleMapping(header: readonly string[]): AngleMapping {
  const plain = header.map(plainName);
  const columnOf = (names: readonly string[]) => {
    const at = plain.findIndex((name) => names.some((one) => name.includes(one)));
    return at < 0 ? null : at;
  };
  const columns = {
    camber: columnOf(ANGLE_NAMES.camber),
    caster: columnOf(ANGLE_NAMES.caster),
    sai: columnOf(ANGLE_NAMES.sai),
    toe: columnOf(ANGLE_NAMES.toe),
  };
  const toeHeading = columns.toe === null ? '' : header[columns.toe]!.toLowerCase();
  const taken = Object.values(columns);
  const wheel = columnOf(['wheel', 'position', 'corner']);
  return {
    wheel: wheel ?? (taken.includes(0) ? null : 0),
    columns,
    flipped: { camber: false, caster: false, sai: false, toe: false },
    angleUnit: header.some((name) => /[[(]\s*(min|′|')/i.test(name)) ? 'min' : 'deg',
    toeUnit: unitIn(toeHeading),
    diameter: null,
  };
}

function unitIn(heading: string): ToeUnit {
  if (/\bmm\b/.test(heading)) return 'mm';
  if (/\b(in|inch|inches)\b/.test(heading)) return 'in';
  if (/\bmin|′/.test(heading)) return 'min';
  return 'deg';
}

/**
 * Reads a table of angles, one line a wheel after the heading, into our signs and degrees. Decimal
 * commas and degrees with minutes (`-0°36'`) are read; an empty cell is an angle not measured.
 * @param rows - cells as text, the heading first
 * @param say - what a cell should have been, in the language of the page
 * @returns the angles that could be read, and every cell that could not
 */
export function readAngleTable(
  rows: readonly (readonly string[])[],
  mapping: AngleMapping,
  say: TableTexts,
): { angles: Angles; faults: TableFault[] } {
  const angles: Angles = {};
  const faults: TableFault[] = [];
  rows.slice(1).forEach((cells, i) => {
    const line = i + 2;
    if (cells.every((cell) => cell.trim() === '')) return;
    const wheelColumn = mapping.wheel ?? 0;
    const wheel = wheelNamed(cells[wheelColumn] ?? '');
    if (!wheel) {
      faults.push({ line, column: wheelColumn, expected: say.wheel });
      return;
    }
    if (angles[wheel]) {
      faults.push({ line, column: wheelColumn, expected: say.wheelOnce });
      return;
    }
    const found: Partial<Record<TableAngle, number>> = {};
    for (const kind of TABLE_ANGLES) {
      const column = mapping.columns[kind];
      const text = column === null ? '' : (cells[column] ?? '').trim();
      if (column === null || text === '') continue;
      const angle = angleIn(text, kind, mapping, say);
      if (typeof angle === 'number') found[kind] = angle;
      else faults.push({ line, column, ...angle });
    }
    angles[wheel] = found;
  });
  return { angles, faults };
}

/** An angle in degrees, or what was expected instead. */
function angleIn(
  text: string,
  kind: TableAngle,
  mapping: AngleMapping,
  say: TableTexts,
): number | { expected: string } {
  const value = numberIn(text);
  if (value === null) return { expected: say.number };
  const signed = mapping.flipped[kind] ? -value : value;
  const unit = kind === 'toe' ? mapping.toeUnit : mapping.angleUnit;
  const isLength = unit === 'mm' || unit === 'in';
  if (isLength && mapping.diameter === null) return { expected: say.diameter };
  const degrees = inDegrees(signed, unit, mapping.diameter ?? undefined);
  if (degrees === null || Math.abs(degrees) > MOST_DEG) {
    return { expected: say.angleWithin(MOST_DEG) };
  }
  return Number(degrees.toFixed(4)) + 0;
}

/** A number with point or comma, or degrees with minutes. */
function numberIn(text: string): number | null {
  const plain = text.replace(/[−–]/g, '-').replace(/\s/g, '');
  const parts = /^([+-]?)(\d+)[°:](\d+(?:[.,]\d+)?)['′]?$/.exec(plain);
  if (parts) {
    const [, sign, degrees, minutes] = parts;
    const size = Number(degrees) + Number(minutes!.replace(',', '.')) / 60;
    return sign === '-' ? -size : size;
  }
  const bare = plain.replace(/(°|deg|mm|in|"|′|')$/i, '').replace(',', '.');
  return /^[+-]?(\d+\.?\d*|\.\d+)$/.test(bare) ? Number(bare) : null;
}

function wheelNamed(text: string): Wheel | null {
  const name = plainName(text);
  return (
    (Object.keys(WHEEL_NAMES) as Wheel[]).find((wheel) => WHEEL_NAMES[wheel].includes(name)) ?? null
  );
}

function plainName(text: string): string {
  return text.toLowerCase().replace(/[^a-z]/g, '');
}

/** The angle of a toe; null where a wheel of this diameter has none of this length. */
function inDegrees(value: number, from: ToeUnit, diameter: number | undefined): number | null {
  try {
    return toeConvert({ value, from, to: 'deg', diameter }).value;
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}
