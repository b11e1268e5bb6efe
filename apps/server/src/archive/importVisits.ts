import type { ArchiveImported, ArchiveVisit, ValidationIssue } from '@keen/contract';
import { expectation, validationIssue } from '@keen/contract';
import { foldEntries } from '@keen/core';
import { and, eq, inArray, max, sql } from 'drizzle-orm';
import type { Handle } from '../db/client.ts';
import { decisions, entries, photos, sheetLinks, visits } from '../db/schema/index.ts';
import type { Actor } from '../http/signedIn.ts';
import { cleanPicture } from '../pictures/cleanPicture.ts';
import { PHOTO_SIDE } from '../pictures/pictureSizes.ts';
import type { OpenArchive } from './openArchive.ts';
import type { PersonOf } from './importShop.ts';

/** A visit of an archive that may come in, with the car it is of here. */
export interface ImportedVisit {
  /** Of its files in the archive. */
  folder: string;
  visit: ArchiveVisit;
  vehicleId: string;
  /** Of a copy from another shop, which gets a number of its own: what it is a copy of. */
  originId?: string;
}

/** Where pictures come from. */
type Pictures = Pick<OpenArchive, 'picture'>;

/** Something of a visit has an id that belongs to something else here. */
export class Clash extends Error {
  readonly refusal: ValidationIssue;

  constructor(refusal: ValidationIssue) {
    super(`${refusal.path}: expected ${refusal.expected}`);
    this.refusal = refusal;
  }
}

/**
 * Writes visits with all that belongs to them, some at a time in a handful of statements.
 * @param faults - receives the pictures that could not be taken
 * @throws {Clash} where an id belongs to something else; what was written by then is to be taken back
 */
export async function importVisits(
  tx: Handle,
  actor: Actor,
  archive: Pictures,
  list: readonly ImportedVisit[],
  personOf: PersonOf,
  faults: ArchiveImported['faults'],
): Promise<void> {
  if (list.length === 0) return;
  await importRows(tx, actor, list);
  await importEntries(tx, actor, list, personOf);
  await importDecisions(tx, actor, list, personOf);
  await importLinks(tx, actor, list, personOf);
  for (const { folder, visit } of list) {
    await importPhotos(tx, actor, archive, folder, visit, personOf, faults);
  }
}

/** A visit keeps its number where that is free, and takes the next one where it is not. */
async function importRows(
  tx: Handle,
  { shopId }: Actor,
  list: readonly ImportedVisit[],
): Promise<void> {
  const [last] = await tx
    .select({ number: max(visits.number) })
    .from(visits)
    .where(eq(visits.shopId, shopId));
  const wanted = list.flatMap(({ visit, originId }) => (originId ? [] : [visit.number]));
  const here = await tx
    .select({ number: visits.number })
    .from(visits)
    .where(and(eq(visits.shopId, shopId), inArray(visits.number, wanted)));
  const taken = new Set(here.map(({ number }) => number));
  let next = Math.max(last?.number ?? 0, ...wanted) + 1;
  const rows = list.map(({ visit, vehicleId, originId }) => {
    const number = originId || taken.has(visit.number) ? next++ : visit.number;
    taken.add(number);
    return {
      id: visit.id,
      shopId,
      vehicleId,
      originId: originId ?? null,
      number,
      arrivedAt: new Date(visit.arrivedAt),
      closedAt: visit.closedAt === null ? null : new Date(visit.closedAt),
      draft: foldEntries({}, visit.entries),
      seq: Math.max(0, ...visit.entries.map(({ seq }) => seq)),
    };
  });
  const added = await tx
    .insert(visits)
    .values(rows)
    .onConflictDoNothing()
    .returning({ id: visits.id });
  if (added.length < rows.length) throw new Clash(validationIssue('id', 'ownVisitId'));
}

/** Entries by the thousand go in as one document: as parameters each would be ten. */
async function importEntries(
  tx: Handle,
  { shopId }: Actor,
  list: readonly ImportedVisit[],
  personOf: PersonOf,
): Promise<void> {
  const rows = list.flatMap(({ visit }) =>
    visit.entries.map((entry) => ({
      id: entry.id,
      visit_id: visit.id,
      seq: entry.seq,
      path: entry.path,
      value: entry.value,
      over: entry.over ?? null,
      person_id: personOf(entry.personId),
      at: entry.at,
      created_at: entry.savedAt ?? entry.at,
    })),
  );
  const { rows: kept } = await tx.execute<{ id: string }>(sql`
    insert into ${entries} (id, shop_id, visit_id, seq, path, value, over, person_id, at, created_at)
    select id, ${shopId}, visit_id, seq, path, value, over, person_id, at, created_at
    from jsonb_to_recordset(${JSON.stringify(rows)}::jsonb) as row(
      id uuid, visit_id uuid, seq int, path text, value jsonb, over jsonb, person_id uuid,
      at timestamptz, created_at timestamptz
    )
    on conflict do nothing
    returning id
  `);
  if (kept.length === rows.length) return;
  const ids = new Set(kept.map(({ id }) => id));
  const clash = rows.find(({ id }) => !ids.has(id.toLowerCase()));
  throw new Clash(validationIssue('entries', 'otherVisitsEntry', { id: clash?.id ?? '' }));
}

async function importDecisions(
  tx: Handle,
  { shopId }: Actor,
  list: readonly ImportedVisit[],
  personOf: PersonOf,
): Promise<void> {
  const rows = list.flatMap(({ visit }) =>
    visit.decisions.map(({ at, ...decision }) => ({
      ...decision,
      shopId,
      visitId: visit.id,
      personId: personOf(decision.personId),
      createdAt: new Date(at),
    })),
  );
  if (rows.length === 0) return;
  const kept = await tx
    .insert(decisions)
    .values(rows)
    .onConflictDoNothing()
    .returning({ id: decisions.id });
  if (kept.length < rows.length) throw new Clash(validationIssue('decisions', 'ownDecisionIds'));
}

/** A link whose address is taken already goes on leading there. */
async function importLinks(
  tx: Handle,
  { shopId }: Actor,
  list: readonly ImportedVisit[],
  personOf: PersonOf,
): Promise<void> {
  const rows = list.flatMap(({ visit }) =>
    (visit.links ?? []).map(({ at, endsAt, ...link }) => ({
      ...link,
      shopId,
      visitId: visit.id,
      personId: personOf(link.personId),
      endsAt: new Date(endsAt),
      createdAt: new Date(at),
    })),
  );
  if (rows.length > 0) await tx.insert(sheetLinks).values(rows).onConflictDoNothing();
}

async function importPhotos(
  tx: Handle,
  { shopId }: Actor,
  archive: Pictures,
  folder: string,
  visit: ArchiveVisit,
  personOf: PersonOf,
  faults: ArchiveImported['faults'],
): Promise<void> {
  for (const { id, file, subject, personId, at } of visit.photos) {
    const bytes = await archive.picture(folder + file);
    const clean = bytes ? await cleanPicture(bytes, PHOTO_SIDE) : expectation('inArchive');
    if ('expected' in clean) {
      faults.push({ file: folder + file, ...clean });
      continue;
    }
    await tx
      .insert(photos)
      .values({
        id,
        shopId,
        visitId: visit.id,
        subject,
        type: clean.type,
        bytes: clean.picture.length,
        picture: clean.picture,
        personId: personOf(personId),
        createdAt: new Date(at),
      })
      .onConflictDoNothing();
  }
}
