import type { AngleFile, VisitDraft, Wheel } from '@keen/contract';

/**
 * Enters the angles of a rig or a file into the visit; what it does not hold stays as it is. Toe of
 * both axles then counts as read out, not as worked out from tapes or strings.
 */
export function takeAngles(
  found: Pick<AngleFile, 'wheels' | 'setback' | 'turning'>,
  draft: VisitDraft,
  enter: (path: string, value: unknown) => void,
): void {
  for (const [wheel, angles] of Object.entries(found.wheels) as [Wheel, object][]) {
    if (Object.keys(angles).length === 0) continue;
    enter(`angles.${wheel}`, { ...draft.angles?.[wheel], ...angles });
  }
  if (found.setback !== undefined) enter('visit.measure.setback', found.setback);
  for (const side of ['left', 'right'] as const) {
    const turn = found.turning?.[side];
    if (turn) enter(`visit.measure.turning.${side}`, turn);
  }
  const { method = {} } = draft.visit?.measure ?? {};
  for (const kind of ['camber', 'toe', 'caster'] as const) {
    const isThere = Object.values(found.wheels).some((angles) => angles[kind] !== undefined);
    if (isThere && method[kind] !== undefined && method[kind] !== 'readout') {
      enter(`visit.measure.method.${kind}`, 'readout');
    }
  }
}
