import type { CaseFile, CaseHistory, CaseTire, DraftTire, Units, VisitDraft } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';
import { DEPTH_SLACK_MM, RIBS, WHEELS } from '@keen/contract/words';
import { byWheel } from '../engine/case/resolveCase.ts';
import { caseParts, inUnit } from './caseFields.ts';
import type { CaseParts } from './caseFields.ts';
import { constantsFor } from './constantsFor.ts';
import { earlierReadings } from './earlierReadings.ts';
import type { VisitBefore } from './earlierReadings.ts';
import { coldPressure } from '../engine/tires/coldPressure.ts';
import { mayRotate } from './mayRotate.ts';
import { tiresDiffer } from './tiresDiffer.ts';
import { playAt } from './wornParts.ts';

/** Stand-ins for what has not been entered yet, so that there is an answer from the first rib on. */
export const ASSUMED = { newDepthMm: 8, distanceKm: 30_000, targetKpa: 230 } as const;

/** A draft as a case file, with what had to be assumed. */
export interface DraftCase {
  file: CaseFile;
  /** Fields that were not entered and stand at a usual value. */
  assumed: ('drive' | 'newDepth' | 'distance')[];
  /** Ribs read of the twelve at the first place round the tires. */
  ribsRead: number;
}

const EMPTY: DraftTire = {};
const MM_KM_KPA: Units = { depth: 'mm', distance: 'km', pressure: 'kPa' };

/**
 * Makes the case file of a visit from what has been entered so far.
 * @param draft - in mm, km, kPa
 * @param label - what the car is called
 * @param units - units of the file; depths read in 1/32 in are rounded to it, which the diagnosis
 *   must know, so the unit they were read in wins
 * @param before - other visits of the car, whose readings of these tires are evidence too
 */
export function draftToCase(
  draft: VisitDraft,
  label: string,
  units: Partial<Units> = {},
  before: VisitBefore | null = null,
): DraftCase {
  const used: Units = {
    depth: draft.units?.depth ?? units.depth ?? MM_KM_KPA.depth,
    distance: units.distance ?? draft.units?.distance ?? MM_KM_KPA.distance,
    pressure: units.pressure ?? draft.units?.pressure ?? MM_KM_KPA.pressure,
  };
  const tireOf = (wheel: Wheel) => draft.tires?.[wheel] ?? EMPTY;
  const some = (pick: (tire: DraftTire) => unknown) =>
    WHEELS.every((wheel) => pick(tireOf(wheel)) !== undefined);
  const assumed: DraftCase['assumed'] = [];
  if (!draft.vehicle?.drive) assumed.push('drive');
  if (!some((tire) => tire.newDepth)) assumed.push('newDepth');
  if (!some((tire) => tire.distance)) assumed.push('distance');
  const parts = caseParts(draft, used);
  const rotatable = mayRotate(draft);
  const play = playOf(draft);
  const history = historyOf(draft, parts.history, before && earlierReadings(draft, before, used));
  // The tread was worn by the angles as they were found; those set since have worn nothing yet.
  const angles = draft.visit?.setRight?.before ?? draft.angles;
  const file = {
    ...parts,
    format: 'keen-groove/case',
    version: 1,
    units: used,
    vehicle: {
      drive: 'fwd',
      use: 'street',
      ...parts.vehicle,
      label,
      ...(rotatable === null ? {} : { rotatable }),
    },
    ...(draft.constants ? { constants: constantsFor(draft.constants, draft) } : {}),
    tires: byWheel((wheel) =>
      caseTire(parts.tires?.[wheel] ?? {}, tireOf(wheel), used, draft.visit?.warmBy),
    ),
    ...(angles ? { angles } : {}),
    ...(play ? { play } : {}),
    ...(history ? { history } : {}),
    ...(draft.visit ? { visit: visitObject(draft.visit, draft.angles) } : {}),
  } as CaseFile;
  return { file, assumed, ribsRead: countRead(draft) };
}

/**
 * Ribs that have been dealt with at the first place, read or marked unreadable: 0 to 12.
 * @example countRead({ tires: { lf: { stations: [{ inner: 5, centre: 6 }] } } }) // 2
 */
export function countRead(draft: VisitDraft): number {
  return WHEELS.reduce((count, wheel) => {
    const station = draft.tires?.[wheel]?.stations?.[0];
    return count + RIBS.filter((rib) => station?.[rib] !== undefined).length;
  }, 0);
}

/**
 * What came with an imported file goes out again beside our own fields. The case's angles are those that
 * were found, so the ones set since go along as `setRight.now`.
 */
function visitObject(
  { other, ...own }: NonNullable<VisitDraft['visit']>,
  now: VisitDraft['angles'],
): CaseFile['visit'] {
  const { setRight } = own;
  return merge(other ?? {}, setRight?.before ? { ...own, setRight: { ...setRight, now } } : own);
}

/** Own fields over those that came along, as deep as both are objects. */
function merge(
  under: Record<string, unknown>,
  over: Record<string, unknown>,
): Record<string, unknown> {
  const merged = { ...under };
  for (const [key, value] of Object.entries(over)) {
    const below = merged[key];
    merged[key] = isRecord(below) && isRecord(value) ? merge(below, value) : value;
  }
  return merged;
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** Play as shaken, or as the joints looked at say. */
function playOf(draft: VisitDraft): CaseFile['play'] {
  const play = WHEELS.flatMap((wheel) => {
    const found = playAt(draft, wheel);
    return found === undefined ? [] : [[wheel, found] as const];
  });
  return play.length > 0 ? Object.fromEntries(play) : undefined;
}

/** What happened to the car and how it is used; nothing when nothing is known of it. */
function historyOf(
  draft: VisitDraft,
  said: CaseParts['history'],
  earlier: CaseHistory['earlier'] | null,
): CaseFile['history'] {
  const differ = tiresDiffer(draft);
  const history = {
    ...said,
    ...(differ.length > 0 ? { tiresDiffer: differ } : {}),
    ...(earlier ? { earlier } : {}),
  };
  return Object.keys(history).length > 0 ? history : undefined;
}

function caseTire(
  said: NonNullable<CaseParts['tires']>['lf'] & object,
  tire: DraftTire,
  units: Units,
  warmBy: number | undefined,
): CaseTire {
  const { pressure, ...known } = said;
  const { measured } = tire.pressure ?? {};
  const cold =
    measured !== undefined && warmBy !== undefined
      ? { measured: inUnit(coldPressure(measured, warmBy), 'pressure', units) }
      : {};
  const places = Math.max(1, tire.stations?.length ?? 0);
  return {
    distance: inUnit(ASSUMED.distanceKm, 'distance', units),
    ...known,
    newDepth: inUnit(newDepthOf(tire), 'depth', units),
    ...(pressure?.target === undefined ? {} : { pressure: { ...pressure, ...cold } }),
    stations: Array.from({ length: places }, (_, place) => ({
      inner: null,
      centre: null,
      outer: null,
      ...known.stations?.[place],
    })),
  } as CaseTire;
}

/** A tire is never deeper than it was new: a reading that was meant corrects what was said. */
function newDepthOf(tire: DraftTire): number {
  const read = deepest(tire);
  if (tire.newDepth === undefined) return Math.max(ASSUMED.newDepthMm, read);
  return read > tire.newDepth + DEPTH_SLACK_MM ? read : tire.newDepth;
}

function deepest(tire: DraftTire): number {
  const read = (tire.stations ?? []).flatMap((station) => Object.values(station));
  return Math.max(0, ...read.filter((value): value is number => typeof value === 'number'));
}
