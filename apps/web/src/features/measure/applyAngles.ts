import type { AngleFile, VisitDraft, Wheel } from '@keen/contract';
import { ANGLE_KINDS } from '@keen/contract';
import { foldEntries, applyReadings } from '@keen/core';
import type { FieldChange, NewReading } from '@keen/core';

/**
 * What is entered for the angles of a rig or a file, all read out at one moment; what it does not hold
 * stays as it is.
 * @param at - now, UTC
 */
export function applyAngles(
  found: Pick<AngleFile, 'wheels' | 'setback' | 'turning'>,
  draft: VisitDraft,
  at: string,
): FieldChange[] {
  const wheels = Object.entries(found.wheels) as [Wheel, Partial<Record<string, number>>][];
  const readings = wheels.flatMap(([wheel, angles]) =>
    ANGLE_KINDS.flatMap((kind): NewReading[] => {
      const value = angles[kind];
      return value === undefined ? [] : [{ wheel, kind, method: 'readout', value, at }];
    }),
  );
  const changes = applyReadings(draft, readings);
  const after = foldEntries(draft, changes);
  for (const [wheel, { sai }] of wheels) {
    if (sai === undefined) continue;
    const value = { ...after.angles?.[wheel], sai };
    const same = changes.findIndex(({ path }) => path === `angles.${wheel}`);
    if (same >= 0) changes[same] = { path: `angles.${wheel}`, value };
    else changes.push({ path: `angles.${wheel}`, value });
  }
  if (found.setback !== undefined) {
    changes.push({ path: 'visit.measure.setback', value: found.setback });
  }
  for (const side of ['left', 'right'] as const) {
    const turn = found.turning?.[side];
    if (turn) changes.push({ path: `visit.measure.turning.${side}`, value: turn });
  }
  // The next reading is expected from the same rig.
  const { method = {} } = draft.visit?.measure ?? {};
  for (const kind of ANGLE_KINDS) {
    const isThere = readings.some((reading) => reading.kind === kind);
    if (isThere && method[kind] !== undefined && method[kind] !== 'readout') {
      changes.push({ path: `visit.measure.method.${kind}`, value: 'readout' });
    }
  }
  return changes;
}
