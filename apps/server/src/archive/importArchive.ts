import type { ArchiveImported, ArchiveVisit, Entry, ValidationIssue } from '@keen/contract';
import { entrySchema, validationIssue, validationIssueOf } from '@keen/contract';
import { eq, inArray, sql } from 'drizzle-orm';
import type { Handle, SteppedHandle } from '../db/client.ts';
import { visits } from '../db/schema/index.ts';
import { notifyLive } from '../db/notifyLive.ts';
import type { Actor } from '../http/signedIn.ts';
import type { Progress } from './exportArchive.ts';
import type { OpenArchive } from './openArchive.ts';
import { importCustomers } from './importCustomers.ts';
import { importGauges } from './importGauges.ts';
import { importLearning } from './importLearning.ts';
import {
  importCars,
  importMerges,
  importPeople,
  importSettings,
  importSheets,
} from './importShop.ts';
import { Clash, importVisits } from './importVisits.ts';
import type { ImportedVisit } from './importVisits.ts';

/** Visits written together. */
const VISITS_AT_ONCE = 100;
/** What an archive says about faults is shown to a person. */
const MOST_FAULTS = 200;

/**
 * Brings an archive into the shop, all in one step: what is here already stays as it is, so the same
 * archive can be taken twice. A car with a known plate is that car; a person with a known email is that
 * person. Settings, name and logo are taken by a shop without visits only. A visit that cannot be taken
 * is named, and the others come in.
 * @param progress - told how many visits of all have been looked at
 */
export async function importArchive(
  tx: SteppedHandle,
  actor: Actor,
  archive: OpenArchive,
  progress: Progress = () => undefined,
): Promise<ArchiveImported> {
  const { shopId } = actor;
  await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${shopId}))`);
  const [first] = await tx
    .select({ id: visits.id })
    .from(visits)
    .where(eq(visits.shopId, shopId))
    .limit(1);
  const isEmpty = first === undefined;
  if (isEmpty) await importSettings(tx, actor, archive);
  const staff = await importPeople(tx, actor, archive);
  const cars = await importCars(tx, actor, archive);
  const sheets = await importSheets(tx, actor, archive, staff.idOf);
  await importCustomers(tx, actor, archive, cars.idOf, staff.idOf);
  await importGauges(tx, actor, archive, staff.idOf);
  await importLearning(tx, actor, archive, staff.idOf, isEmpty);
  const { faults } = archive;
  let taken = 0;
  let known = 0;
  let seen = 0;

  const fault = (folder: string, why: ValidationIssue) =>
    faults.push({ file: `${folder}visit.json`, ...why });
  /** Some visits in a step of their own within the whole. @returns why they could not be taken */
  const take = async (list: readonly ImportedVisit[]): Promise<ValidationIssue | null> => {
    const ofStep: typeof faults = [];
    const why = await tx
      .transaction((step) => importVisits(step, actor, archive, list, staff.idOf, ofStep))
      .then(() => null, clashOf);
    if (why === null) faults.push(...ofStep);
    return why;
  };

  async function importSome(list: readonly ImportedVisit[]): Promise<void> {
    const here = await idsHere(tx, list);
    const fresh = list.filter(({ visit }) => !here.has(visit.id.toLowerCase()));
    known += list.length - fresh.length;
    if ((await take(fresh)) === null) {
      taken += fresh.length;
      return;
    }
    // One of them clashes: each by itself then, so that the others come in.
    for (const one of fresh) {
      if ((await idsHere(tx, [one])).size > 0) {
        // The archive has it twice.
        known++;
        continue;
      }
      const why = await take([one]);
      if (why === null) taken++;
      else fault(one.folder, why);
    }
  }

  let waiting: ImportedVisit[] = [];
  let writing: Promise<void> = Promise.resolve();
  try {
    for await (const { folder, visit } of archive.visits()) {
      const vehicleId = cars.idOf.get(visit.carId.toLowerCase());
      const wrong = entryFault(visit);
      if (!vehicleId) fault(folder, validationIssue('carId', 'carOfArchive'));
      else if (wrong) fault(folder, wrong);
      else waiting.push({ folder, visit, vehicleId });
      if (++seen % VISITS_AT_ONCE === 0) {
        // The next are read and checked while the database writes these.
        await writing;
        writing = importSome(waiting);
        writing.catch(() => undefined);
        waiting = [];
        progress(seen, archive.visitCount);
      }
    }
  } finally {
    // Whatever happened to the reading, nothing is written any more once this has ended.
    await writing;
  }
  await importSome(waiting);
  progress(seen, archive.visitCount);
  await importMerges(tx, actor, archive, cars.idOf, staff.idOf);
  await notifyLive(tx, { shopId, kind: 'settings' });
  await notifyLive(tx, { shopId, kind: 'sheets' });
  return {
    visits: taken,
    known,
    cars: cars.added,
    people: staff.added,
    sheets,
    settings: isEmpty,
    faults: faults.slice(0, MOST_FAULTS),
  };
}

/** Why visits could not be taken. @throws anything but a clash: then nothing is taken at all */
function clashOf(error: unknown): ValidationIssue {
  if (error instanceof Clash) return error.refusal;
  throw error;
}

async function idsHere(tx: Handle, list: readonly ImportedVisit[]): Promise<Set<string>> {
  const ids = list.map(({ visit }) => visit.id);
  if (ids.length === 0) return new Set();
  const rows = await tx.select({ id: visits.id }).from(visits).where(inArray(visits.id, ids));
  return new Set(rows.map(({ id }) => id));
}

/** The first fault of a visit's entries, checked as if they were typed: an archive comes from outside. */
function entryFault({ entries }: ArchiveVisit): ValidationIssue | null {
  for (const [index, { id, path, value, at, over }] of entries.entries()) {
    const entry: Entry = { id, path, value, at, ...(over ? { over } : {}) };
    const result = entrySchema.safeParse(entry);
    if (result.success) continue;
    const wrong = validationIssueOf(result.error);
    return { ...wrong, path: `entries.${index}.${wrong.path}` };
  }
  return null;
}
