import type { ReminderKind, VisitDraft } from '@keen/contract';
import { mayRotate } from '../../visit/mayRotate.ts';
import type { Outlook } from '../../engine/outlook/outlook.ts';

/** Something to see to later, after a distance or a time, whichever comes first. */
export interface Reminder {
  what: ReminderKind;
  /** km from today. */
  afterKm: number | null;
  months: number | null;
}

/**
 * Tires change places this often; where they cannot, the tread is looked at as often (common practice, no
 * source), km.
 */
const TREAD_EVERY_KM = 8_000;
/** Fasteners that were loosened are tightened again within this (common practice, no source), km. */
const NUTS_WITHIN_KM = 100;
/** Angles are looked at once a year (common practice, no source). */
const ALIGNMENT_MONTHS = 12;

/**
 * What to look at next, soonest first: wheel nuts where wheels came off, what the technician wants to see
 * again, the change of places or the tread by custom or sooner by the forecast, the angles once a year.
 * @param wheelsOff - whether wheels were taken off today
 */
export function reminders(draft: VisitDraft, outlook: Outlook, wheelsOff: boolean): Reminder[] {
  const list: Reminder[] = [];
  if (wheelsOff) list.push({ what: 'nuts', afterKm: NUTS_WITHIN_KM, months: null });
  const recheck = draft.visit?.setRight?.recheckKm;
  if (recheck !== undefined) list.push({ what: 'recheck', afterKm: recheck, months: null });
  // Half of what the worst case leaves, where that comes before the custom.
  const half = outlook.oldKm && !wheelsOff ? outlook.oldKm.low / 2 : Number.POSITIVE_INFINITY;
  const treadKm = Math.max(500, Math.round(Math.min(TREAD_EVERY_KM, half) / 500) * 500);
  const rotates = mayRotate(draft) !== false && treadKm === TREAD_EVERY_KM;
  list.push({ what: rotates ? 'rotation' : 'tread', afterKm: treadKm, months: null });
  list.push({ what: 'alignment', afterKm: null, months: ALIGNMENT_MONTHS });
  return list;
}
