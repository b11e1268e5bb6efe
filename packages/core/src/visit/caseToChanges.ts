import type { CaseFile } from '@keen/contract';
import { caseFieldChanges } from './caseFields.ts';
import type { FieldChange } from './foldEntries.ts';

/**
 * The entries that bring a case file into a visit, in mm, km and kPa: what the file says itself first, so
 * that what its `visit` says of the same wins. What the app does not know of that object is carried along
 * under `visit.other`.
 * @param takes - whether the visit has a field at that path which takes that value
 */
export function caseToChanges(
  file: CaseFile,
  takes: (path: string, value: unknown) => boolean,
): FieldChange[] {
  const { now, visit } = splitAnglesNow(file.visit ?? {});
  const { other: carried, ...own } = visit;
  const changes = caseFieldChanges({ ...file, angles: now ?? file.angles })
    .map(ofShop)
    // Angles of the file's `visit` have been checked by nobody yet.
    .filter(({ path, value }) => !path.startsWith('angles.') || takes(path, value));
  const set = (path: string, value: unknown) => changes.push({ path, value });
  const unknown = setKnownFields('visit', own, takes, set);
  const before = isObject(carried) ? carried : carried === undefined ? {} : { other: carried };
  const other = { ...before, ...unknown };
  if (Object.keys(other).length > 0) set('visit.other', other);
  return changes;
}

/** A file says nothing of where its constants come from. */
function ofShop(change: FieldChange): FieldChange {
  if (change.path !== 'constants') return change;
  return { path: change.path, value: { ...(change.value as object), version: null, lines: [] } };
}

/** The angles set since those that were found; see `draftToCase`. */
function splitAnglesNow(visit: Record<string, unknown>): {
  now: Record<string, unknown> | null;
  visit: Record<string, unknown>;
} {
  const { setRight } = visit;
  if (!isObject(setRight) || !isObject(setRight.now)) return { now: null, visit };
  const { now, ...rest } = setRight;
  return { now: now, visit: { ...visit, setRight: rest } };
}

/** Sets the fields that the visit knows, as deep as they lie; what it does not know comes back. */
function setKnownFields(
  path: string,
  object: Record<string, unknown>,
  takes: (path: string, value: unknown) => boolean,
  set: (path: string, value: unknown) => unknown,
): Record<string, unknown> {
  const unknown: Record<string, unknown> = {};
  for (const [key, value] of Object.entries(object)) {
    const at = `${path}.${key}`;
    if (value !== null && takes(at, value)) {
      set(at, value);
    } else if (isObject(value)) {
      const rest = setKnownFields(at, value, takes, set);
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
