import type { CaseFile } from '@keen/contract';
import {
  ANGLE_KINDS,
  METHODS,
  REPEATS,
  RIBS,
  SETUP_POINTS,
  SETUP_STATES,
  WHEELS,
} from '@keen/contract/words';
import { depthToMm, distanceToKm, pressureToKpa } from '../units/units.ts';
import type { FieldChange } from './foldEntries.ts';

/** The fields of a visit that the app itself keeps under `visit` in a case file. */
const OWN_VISIT_FIELDS = ['words', 'waits', 'other'];

/**
 * The entries that bring a case file into a visit, in mm, km and kPa. What the app does not know of
 * the file's `visit` object is carried along under `visit.other`.
 */
export function caseToChanges(file: CaseFile): FieldChange[] {
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
    set(`angles.${wheel}`, file.angles?.[wheel]);
  }
  set(
    'rotations',
    file.rotations?.map((rotation) => ({
      ...rotation,
      atDistance: distanceToKm(rotation.atDistance, units.distance),
    })),
  );
  set('complaints', file.complaints);
  setMeasure(file.visit?.measure, set);
  const visit = Object.entries(file.visit ?? {}).filter(([field]) => field !== 'measure');
  for (const [field, value] of visit.filter(([field]) => OWN_VISIT_FIELDS.includes(field))) {
    set(`visit.${field}`, value);
  }
  const others = visit.filter(([field]) => !OWN_VISIT_FIELDS.includes(field));
  if (others.length > 0) set('visit.other', Object.fromEntries(others));
  return changes;
}

/** What is known of how the angles were measured; a file may hold anything there. */
function setMeasure(measure: unknown, set: (path: string, value: unknown) => void): void {
  const at = (object: unknown, key: string): unknown =>
    typeof object === 'object' && object !== null ? (object as Record<string, unknown>)[key] : null;
  const setKnown = (path: string, value: unknown, words: readonly string[]) => {
    if (typeof value === 'string' && words.includes(value)) set(`visit.measure.${path}`, value);
  };
  setKnown('repeat', at(measure, 'repeat'), REPEATS);
  for (const kind of ANGLE_KINDS) {
    setKnown(`method.${kind}`, at(at(measure, 'method'), kind), METHODS);
  }
  for (const point of SETUP_POINTS) {
    setKnown(`setup.${point}`, at(at(measure, 'setup'), point), SETUP_STATES);
  }
}

function inMm(limits: NonNullable<CaseFile['limits']>, file: CaseFile) {
  return Object.fromEntries(
    Object.entries(limits)
      .filter((entry): entry is [string, number] => entry[1] !== undefined)
      .map(([name, value]) => [name, depthToMm(value, file.units.depth)]),
  );
}
