import type { CaseFile } from '@keen/contract';
import { RIBS, WHEELS } from '@keen/contract/words';
import { depthToMm, distanceToKm, pressureToKpa } from '../engine/units/units.ts';
import type { FieldChange } from './foldEntries.ts';

/**
 * The entries that bring a case file into a visit, in mm, km and kPa. What the app does not know of
 * the file's `visit` object is carried along under `visit.other`.
 * @param takes - whether the visit has a field at that path which takes that value
 */
export function caseToChanges(
  file: CaseFile,
  takes: (path: string, value: unknown) => boolean,
): FieldChange[] {
  const changes: FieldChange[] = [];
  const set = (path: string, value: unknown) => {
    if (value !== undefined) changes.push({ path, value });
  };
  const { units, vehicle } = file;
  for (const [kind, unit] of Object.entries(units)) set(`units.${kind}`, unit);
  set('vehicle.drive', vehicle.drive);
  set('vehicle.use', vehicle.use);
  set('vehicle.rotatable', vehicle.rotatable);
  set('vehicle.rideHeightChange.front', vehicle.rideHeightChange?.front);
  set('vehicle.rideHeightChange.rear', vehicle.rideHeightChange?.rear);
  set('tolerances', file.tolerances);
  set('limits', file.limits && inMm(file.limits, file));
  set('readingSpread', file.readingSpread && depthToMm(file.readingSpread, units.depth));
  set('constants', file.constants && { ...file.constants, version: null, lines: [] });
  setHistory(file, set);
  const { now, visit } = takeNow(file.visit ?? {});
  for (const wheel of WHEELS) {
    const tire = file.tires[wheel];
    const at = `tires.${wheel}`;
    set(`${at}.size`, tire.size);
    set(`${at}.newDepth`, depthToMm(tire.newDepth, units.depth));
    set(`${at}.distance`, distanceToKm(tire.distance, units.distance));
    const { measured, target } = tire.pressure ?? {};
    if (target !== undefined) set(`${at}.pressure.target`, pressureToKpa(target, units.pressure));
    if (measured !== undefined) {
      set(`${at}.pressure.measured`, pressureToKpa(measured, units.pressure));
    }
    tire.stations.forEach((station, index) => {
      for (const rib of RIBS) {
        const depth = station[rib];
        set(
          `${at}.stations.${index}.${rib}`,
          depth === null ? 'unreadable' : depthToMm(depth, units.depth),
        );
      }
    });
    set(`${at}.feather`, tire.feather);
    set(`${at}.cupping`, tire.cupping);
    set(`${at}.damage`, tire.damage);
    set(`play.${wheel}`, file.play?.[wheel]);
    const current = now ? now[wheel] : file.angles?.[wheel];
    if (takes(`angles.${wheel}`, current)) set(`angles.${wheel}`, current);
  }
  set(
    'rotations',
    file.rotations?.map((rotation) => ({
      ...rotation,
      atDistance: distanceToKm(rotation.atDistance, units.distance),
    })),
  );
  set('complaints', file.complaints);
  const { other: carried, ...own } = visit;
  const unknown = takeKnown('visit', own, takes, set);
  const before = isObject(carried) ? carried : carried === undefined ? {} : { other: carried };
  const other = { ...before, ...unknown };
  if (Object.keys(other).length > 0) set('visit.other', other);
  return changes;
}

/** The car's history, first: what the file's `visit` says of the same stands after it and wins. */
function setHistory(
  { history = {}, units }: CaseFile,
  set: (path: string, value: unknown) => void,
): void {
  set('visit.events', history.startedAfter);
  set('visit.occasions', history.occasions);
  set('visit.car.driver', history.driver);
  set('visit.car.load', history.load);
  set('visit.car.suspension.front', history.suspension?.front);
  set('visit.car.suspension.rear', history.suspension?.rear);
  set('visit.tiresDiffer', history.tiresDiffer);
  if (history.alignedAgo !== undefined) {
    set('visit.lastAlignment', { agoKm: distanceToKm(history.alignedAgo, units.distance) });
  }
}

/** The angles set since those that were found; see `draftToCase`. */
function takeNow(visit: Record<string, unknown>): {
  now: Record<string, unknown> | null;
  visit: Record<string, unknown>;
} {
  const { setRight } = visit;
  if (!isObject(setRight) || !isObject(setRight.now)) return { now: null, visit };
  const { now, ...rest } = setRight;
  return { now: now, visit: { ...visit, setRight: rest } };
}

/** Sets the fields that the visit knows, as deep as they lie; what it does not know comes back. */
function takeKnown(
  path: string,
  object: Record<string, unknown>,
  takes: (path: string, value: unknown) => boolean,
  set: (path: string, value: unknown) => void,
): Record<string, unknown> {
  const unknown: Record<string, unknown> = {};
  for (const [key, value] of Object.entries(object)) {
    const at = `${path}.${key}`;
    if (value !== null && takes(at, value)) {
      set(at, value);
    } else if (isObject(value)) {
      const rest = takeKnown(at, value, takes, set);
      if (Object.keys(rest).length > 0 || Object.keys(value).length === 0) unknown[key] = rest;
    } else {
      unknown[key] = value;
    }
  }
  return unknown;
}

function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function inMm(limits: NonNullable<CaseFile['limits']>, file: CaseFile) {
  return Object.fromEntries(
    Object.entries(limits)
      .filter((entry): entry is [string, number] => entry[1] !== undefined)
      .map(([name, value]) => [name, depthToMm(value, file.units.depth)]),
  );
}
