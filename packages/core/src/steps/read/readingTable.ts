import type { DepthUnit, Rib, Wheel } from '@keen/contract/words';
import { RIBS, WHEELS } from '@keen/contract/words';
import type { TableTexts } from '../../words/screens/index.ts';
import { readDepthText } from './depthText.ts';
import type { FieldChange } from '../../visit/foldEntries.ts';

/**
 * Tables of readings from elsewhere: wide with a line a car and a column a rib, or long with a line a
 * reading.
 */

/** A rib of a wheel, as a column of a wide table. */
export const WIDE_COLUMNS: readonly `${Wheel}.${Rib}`[] = (
  ['lf', 'rf', 'lr', 'rr'] as const
).flatMap((wheel) => RIBS.map((rib) => `${wheel}.${rib}` as const));

export interface ReadingMapping {
  form: 'wide' | 'long';
  /** Unit of depths that carry none. */
  unit: DepthUnit;
  /** Columns by what they hold; null where the table has none. */
  plate: number | null;
  label: number | null;
  newDepth: number | null;
  /** Wide: a column a rib. */
  ribs: Partial<Record<`${Wheel}.${Rib}`, number>>;
  /** Long: which wheel, which rib, how deep. */
  wheel: number | null;
  rib: number | null;
  depth: number | null;
}

export interface ReadingFault {
  /** Counts from 1, the heading is line 1. */
  line: number;
  column: number;
  expected: string;
}

/** What a table says of one car. */
export interface CarReadings {
  plate: string;
  label: string;
  changes: FieldChange[];
}

const WHEEL_NAMES: Record<Wheel, readonly string[]> = {
  lf: ['lf', 'fl', 'leftfront', 'frontleft'],
  rf: ['rf', 'fr', 'rightfront', 'frontright'],
  lr: ['lr', 'rl', 'leftrear', 'rearleft'],
  rr: ['rr', 'rightrear', 'rearright'],
};
const RIB_NAMES: Record<Rib, readonly string[]> = {
  inner: ['inner', 'inside', 'in', 'i'],
  centre: ['centre', 'center', 'middle', 'mid', 'c', 'm'],
  outer: ['outer', 'outside', 'out', 'o'],
};
const UNREADABLE = ['x', '×', '-', 'unreadable'];

/**
 * Reads the headings as well as can be guessed; everything may be changed after.
 * @param header - headings, left to right
 * @param unit - of the depths
 * @example guessReadingMapping(['Date', 'Plate'], 'mm').plate // 1
 */
export function guessReadingMapping(header: readonly string[], unit: DepthUnit): ReadingMapping {
  const plain = header.map(plainName);
  const at = (...names: string[]) => {
    const found = plain.findIndex((name) => names.includes(name));
    return found < 0 ? null : found;
  };
  const ribs: ReadingMapping['ribs'] = {};
  for (const wheel of WHEELS) {
    for (const rib of RIBS) {
      const column = plain.findIndex((name) =>
        WHEEL_NAMES[wheel].some((a) =>
          RIB_NAMES[rib].some((b) => name === a + b || name === b + a),
        ),
      );
      if (column >= 0) ribs[`${wheel}.${rib}`] = column;
    }
  }
  const [rib, depth] = [at('rib', 'place'), at('depth', 'reading', 'mm')];
  return {
    form: depth !== null && rib !== null ? 'long' : 'wide',
    unit,
    plate: at('plate', 'registration', 'car'),
    label: at('label', 'vehicle', 'description'),
    newDepth: at('newdepth', 'new'),
    ribs,
    wheel: at('wheel', 'position', 'tire'),
    rib,
    depth,
  };
}

/**
 * Reads a table of readings, line by line: what can be read is kept under its car, what cannot comes back
 * with its place.
 * @param rows - cells as text, the heading first
 * @param say - what a cell should have been, in the language of the page
 */
export function readReadingTable(
  rows: readonly (readonly string[])[],
  mapping: ReadingMapping,
  say: TableTexts,
): { cars: CarReadings[]; faults: ReadingFault[]; readings: number } {
  const cars = new Map<string, CarReadings>();
  const faults: ReadingFault[] = [];
  let readings = 0;
  for (let i = 1; i < rows.length; i++) {
    const cells = rows[i]!;
    if (cells.every((cell) => cell.trim() === '')) continue;
    const line = i + 1;
    const text = (column: number | null) => (column === null ? '' : (cells[column] ?? '').trim());
    const plate = text(mapping.plate).toUpperCase().slice(0, 15);
    if (plate === '') {
      faults.push({ line, column: mapping.plate ?? 0, expected: say.plate });
      continue;
    }
    const key = plate.replace(/[^\p{L}\p{N}]/gu, '');
    const car = cars.get(key) ?? { plate, label: text(mapping.label), changes: [] };
    const take = (path: string, column: number): void => {
      const found = text(column);
      if (found === '') return;
      const value = UNREADABLE.includes(found.toLowerCase())
        ? 'unreadable'
        : readDepthText(found, mapping.unit);
      if (value === null) {
        faults.push({ line, column, expected: say.depth });
        return;
      }
      car.changes.push({ path, value });
      readings++;
    };
    if (mapping.form === 'wide') {
      for (const name of WIDE_COLUMNS) {
        const column = mapping.ribs[name];
        const [wheel, rib] = name.split('.');
        if (column !== undefined) take(`tires.${wheel}.stations.0.${rib}`, column);
      }
    } else {
      readLongRow(
        text,
        mapping,
        say,
        (path) => take(path, mapping.depth ?? 0),
        (column, expected) => {
          faults.push({ line, column, expected });
        },
      );
    }
    readNewDepth(text(mapping.newDepth), mapping, car);
    if (car.changes.length > 0) cars.set(key, car);
  }
  return { cars: [...cars.values()], faults, readings };
}

function readLongRow(
  text: (column: number | null) => string,
  mapping: ReadingMapping,
  say: TableTexts,
  take: (path: string) => void,
  refuse: (column: number, expected: string) => void,
): void {
  const wheel = named(WHEEL_NAMES, text(mapping.wheel));
  const rib = named(RIB_NAMES, text(mapping.rib));
  if (!wheel) refuse(mapping.wheel ?? 0, say.wheel);
  else if (!rib) refuse(mapping.rib ?? 0, say.rib);
  else take(`tires.${wheel}.stations.0.${rib}`);
}

/** Depth when new goes to all four tires; one that cannot be read is left out. */
function readNewDepth(text: string, mapping: ReadingMapping, car: CarReadings): void {
  const mm = text === '' ? null : readDepthText(text, mapping.unit);
  if (mm === null || mm <= 0 || car.changes.some(({ path }) => path.endsWith('newDepth'))) return;
  for (const wheel of WHEELS) car.changes.push({ path: `tires.${wheel}.newDepth`, value: mm });
}

function named<T extends string>(names: Record<T, readonly string[]>, text: string): T | null {
  const plain = plainName(text);
  return (Object.keys(names) as T[]).find((key) => names[key].includes(plain)) ?? null;
}

function plainName(text: string): string {
  return text.toLowerCase().replace(/[^a-z]/g, '');
}
