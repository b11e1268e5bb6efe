import type { CaseFile, FieldPattern, Units, VisitDraft } from '@keen/contract';
import { AXLES, MAX_STATIONS, RIBS, WHEELS } from '@keen/contract/words';
import { depthToMm, distanceToKm, pressureToKpa } from '../engine/units/units.ts';
import { valueAt } from './fieldAt.ts';
import { foldEntries } from './foldEntries.ts';
import type { FieldChange } from './foldEntries.ts';

type Quantity = keyof Units;

/** How a field of a visit stands in a case file. */
interface CaseField {
  /** Where, if not at the same path. */
  at?: string;
  /** What of the value stands there, if not all of it. */
  part?: string;
  /** What it is a quantity of, or each of its parts by name; left out for what has no unit. */
  of?: Quantity | Readonly<Record<string, Quantity>>;
}

/**
 * The fields that the diagnosis reads. What else there is of a visit goes along in the file's `visit`,
 * under the same path.
 */
const CASE_FIELDS = {
  'units.depth': {},
  'units.distance': {},
  'units.pressure': {},
  'vehicle.drive': {},
  'vehicle.use': {},
  'vehicle.rotatable': {},
  'vehicle.rideHeightChange.{axle}': {},
  'tires.{wheel}.size': {},
  'tires.{wheel}.newDepth': { of: 'depth' },
  'tires.{wheel}.distance': { of: 'distance' },
  'tires.{wheel}.pressure.measured': { of: 'pressure' },
  'tires.{wheel}.pressure.target': { of: 'pressure' },
  'tires.{wheel}.stations.{place}.{rib}': { of: 'depth' },
  'tires.{wheel}.feather': {},
  'tires.{wheel}.cupping': {},
  'tires.{wheel}.damage': {},
  complaints: {},
  rotations: { of: { atDistance: 'distance' } },
  'angles.{wheel}': {},
  'play.{wheel}': {},
  limits: { of: { legal: 'depth', advise: 'depth' } },
  readingSpread: { of: 'depth' },
  constants: {},
  tolerances: {},
  'visit.events': { at: 'history.startedAfter' },
  'visit.occasions': { at: 'history.occasions' },
  'visit.car.driver': { at: 'history.driver' },
  'visit.car.load': { at: 'history.load' },
  'visit.car.suspension.{axle}': { at: 'history.suspension.{axle}' },
  'visit.tiresDiffer': { at: 'history.tiresDiffer' },
  'visit.lastAlignment': { at: 'history.alignedAgo', part: 'agoKm', of: 'distance' },
} as const satisfies Partial<Record<FieldPattern, CaseField>>;

/** The keys that a name in a pattern stands for. */
const KEYS: Readonly<Record<string, readonly string[]>> = {
  wheel: WHEELS,
  axle: AXLES,
  rib: RIBS,
  place: Array.from({ length: MAX_STATIONS }, (_, i) => String(i)),
};

interface PlacedCaseField extends CaseField {
  path: string;
  at: string;
}

const PLACED: readonly PlacedCaseField[] = Object.entries(CASE_FIELDS).flatMap(
  ([path, field]: [string, CaseField]) => placed({ ...field, path, at: field.at ?? path }),
);

function placed(field: PlacedCaseField): PlacedCaseField[] {
  const name = /\{(\w+)\}/.exec(field.path)?.[1];
  if (name === undefined) return [field];
  return KEYS[name]!.flatMap((key) =>
    placed({
      ...field,
      path: field.path.replace(`{${name}}`, key),
      at: field.at.replace(`{${name}}`, key),
    }),
  );
}

/** Conversions come back as what was typed, not as 7.999999999. */
const DECIMALS = 4;
/** A rib that was looked at and cannot be read; null in a case file. */
const UNREADABLE = 'unreadable';

/** How many mm, km or kPa the file's unit of a quantity is. */
function sizeOf(quantity: Quantity, units: Units): number {
  switch (quantity) {
    case 'depth':
      return depthToMm(1, units.depth);
    case 'distance':
      return distanceToKm(1, units.distance);
    case 'pressure':
      return pressureToKpa(1, units.pressure);
  }
}

/** A quantity in the file's unit. @param value - in mm, km or kPa */
export function inUnit(value: number, quantity: Quantity, units: Units): number {
  return Number((value / sizeOf(quantity, units)).toFixed(DECIMALS));
}

type Convert = (value: number, quantity: Quantity) => number;

/** Converts a value, or its parts by name, also in a list; anything that is not a number stays as it is. */
function converted(value: unknown, of: CaseField['of'], convert: Convert): unknown {
  if (of === undefined) return value;
  if (typeof of === 'string') return typeof value === 'number' ? convert(value, of) : value;
  if (Array.isArray(value)) return value.map((one) => converted(one, of, convert));
  return Object.fromEntries(
    Object.entries(value as object).map(([part, inner]) => [
      part,
      converted(inner, of[part], convert),
    ]),
  );
}

/** What of a draft stands at a place of its own in a case file, in the file's units. */
export type CaseParts = DeepPartial<Omit<CaseFile, 'visit'>>;
type DeepPartial<T> = T extends readonly unknown[]
  ? T
  : T extends object
    ? { [K in keyof T]?: DeepPartial<T[K]> }
    : T;

export function caseParts(draft: VisitDraft, units: Units): CaseParts {
  const toUnit: Convert = (value, quantity) => inUnit(value, quantity, units);
  const changes = PLACED.flatMap(({ path, at, part, of }): FieldChange[] => {
    const field = valueAt(draft, path);
    const value = part === undefined ? field : valueAt(field, part);
    if (value === undefined || value === UNREADABLE) return [];
    return [{ path: at, value: converted(value, of, toUnit) }];
  });
  return foldEntries({}, changes) as CaseParts;
}

/** The entries that bring what a case file says itself into a visit, in mm, km and kPa. */
export function caseFieldChanges(file: CaseFile): FieldChange[] {
  const toBase: Convert = (value, quantity) => value * sizeOf(quantity, file.units);
  return PLACED.flatMap(({ path, at, part, of }): FieldChange[] => {
    const stands = valueAt(file, at);
    if (stands === undefined) return [];
    const value = stands === null ? UNREADABLE : converted(stands, of, toBase);
    return [{ path, value: part === undefined ? value : { [part]: value } }];
  });
}
