import type { ArchiveTaken, ArchiveVisit, Entry } from '@keen/contract';
import { entrySchema } from '@keen/contract';
import { foldEntries } from '@keen/core';
import { and, eq, inArray, max, sql } from 'drizzle-orm';
import type { Handle } from '../db/client.ts';
import { plateKeyOf } from '../db/plateKey.ts';
import {
  decisions,
  entries,
  people,
  photos,
  sheetLinks,
  shopLogos,
  shops,
  specSheets,
  vehicles,
  visits,
} from '../db/schema/index.ts';
import { tellLive } from '../db/tellLive.ts';
import type { Actor } from '../http/signedIn.ts';
import { cleanPicture } from '../pictures/cleanPicture.ts';
import { LOGO_SIDE, PHOTO_SIDE } from '../pictures/pictureSizes.ts';
import type { OpenArchive } from './openArchive.ts';

/** Rows in one statement, whose parameters are limited. */
const AT_ONCE = 1_000;
/** What an archive says about faults is shown to a person. */
const MOST_FAULTS = 200;

/**
 * Brings an archive into the shop, all in one step: what is here already stays as it is, so the same
 * archive can be taken twice. A car with a known plate is that car; a person with a known e-mail is that
 * person. Settings, name and logo are taken by a shop without visits only. A visit that cannot be taken
 * is named, and the others come in.
 */
export async function importArchive(
  tx: Handle,
  actor: Actor,
  archive: OpenArchive,
): Promise<ArchiveTaken> {
  const { shopId } = actor;
  await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${shopId}))`);
  const isEmpty = (await tx.$count(visits, eq(visits.shopId, shopId))) === 0;
  if (isEmpty) await takeSettings(tx, actor, archive);
  const staff = await takePeople(tx, actor, archive);
  const cars = await takeCars(tx, actor, archive);
  const sheets = await takeSheets(tx, actor, archive, staff.idOf);
  const { faults } = archive;
  let taken = 0;
  let known = 0;
  for await (const { folder, visit } of archive.visits()) {
    const fault = (expected: string) => faults.push({ file: `${folder}visit.json`, expected });
    const vehicleId = cars.idOf.get(visit.carId.toLowerCase());
    const bad = visit.entries.findIndex((entry) => !isEntry(entry));
    if (!vehicleId) fault('a car of cars.json');
    else if (bad >= 0) fault(`entries.${bad}: a field of a visit`);
    else if (await isHere(tx, visit.id)) known++;
    else {
      // Each visit in a step of its own within the whole: one that clashes leaves the others alone.
      const refusal = await tx
        .transaction(async (step) => {
          await takeVisit(step, actor, visit, vehicleId, staff.idOf);
          await takePhotos(step, actor, archive, folder, visit, staff.idOf);
        })
        .then(
          () => null,
          (error: unknown) => clashOf(error),
        );
      if (refusal === null) taken++;
      else fault(refusal);
    }
  }
  await tellLive(tx, { shopId, kind: 'settings' });
  await tellLive(tx, { shopId, kind: 'sheets' });
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

class Clash extends Error {}

/** In words why a visit could not be taken. @throws what is no clash: then nothing is taken at all */
function clashOf(error: unknown): string {
  if (error instanceof Clash) return error.message;
  throw error;
}

type PersonOf = (id: string) => string;

async function takeSettings(tx: Handle, { shopId }: Actor, archive: OpenArchive): Promise<void> {
  const { name, town, settings, since } = archive.shop;
  await tx
    .update(shops)
    .set({ name, town, settings, ...(since ? { createdAt: new Date(since) } : {}) })
    .where(eq(shops.id, shopId));
  const logo = archive.logo && (await cleanPicture(archive.logo, LOGO_SIDE));
  if (!logo) return;
  if ('expected' in logo) {
    archive.faults.push({ file: 'logo', expected: logo.expected });
    return;
  }
  await tx
    .insert(shopLogos)
    .values({ shopId, ...logo })
    .onConflictDoUpdate({ target: shopLogos.shopId, set: logo });
}

/** People keep their ids where those are free; whoever cannot be kept is spoken for by the lead. */
async function takePeople(
  tx: Handle,
  { shopId, personId }: Actor,
  archive: OpenArchive,
): Promise<{ added: number; idOf: PersonOf }> {
  const idOf = new Map<string, string>();
  let added = 0;
  for (const { id, name, email, role, preferences, suspendedAt, since } of archive.people) {
    const kept = await tx
      .insert(people)
      .values({
        id,
        shopId,
        name,
        email: email.toLowerCase(),
        role,
        preferences,
        suspendedAt: suspendedAt ? new Date(suspendedAt) : null,
        ...(since ? { createdAt: new Date(since) } : {}),
      })
      .onConflictDoNothing()
      .returning({ id: people.id });
    added += kept.length;
    const [same] = await tx
      .select({ id: people.id })
      .from(people)
      .where(
        and(
          eq(people.shopId, shopId),
          sql`(${people.id} = ${id} or ${people.email} = ${email.toLowerCase()})`,
        ),
      );
    if (same) idOf.set(id.toLowerCase(), same.id);
  }
  return { added, idOf: (id) => idOf.get(id.toLowerCase()) ?? personId };
}

async function takeCars(
  tx: Handle,
  { shopId }: Actor,
  archive: OpenArchive,
): Promise<{ added: number; idOf: Map<string, string> }> {
  const idOf = new Map<string, string>();
  let added = 0;
  for (const { erasedAt, since, ...car } of archive.cars) {
    const plateKey = plateKeyOf(car.plate);
    const kept = await tx
      .insert(vehicles)
      .values({
        ...car,
        shopId,
        plateKey,
        erasedAt: erasedAt ? new Date(erasedAt) : null,
        ...(since ? { createdAt: new Date(since) } : {}),
      })
      .onConflictDoNothing()
      .returning({ id: vehicles.id });
    added += kept.length;
    const [same] = await tx
      .select({ id: vehicles.id })
      .from(vehicles)
      .where(and(eq(vehicles.shopId, shopId), eq(vehicles.plateKey, plateKey)));
    if (same) idOf.set(car.id.toLowerCase(), same.id);
  }
  return { added, idOf };
}

async function takeSheets(
  tx: Handle,
  { shopId }: Actor,
  archive: OpenArchive,
  personOf: PersonOf,
): Promise<number> {
  let added = 0;
  for (const one of archive.sheets) {
    const kept = await tx
      .insert(specSheets)
      .values({
        id: one.revisionId,
        shopId,
        sheetId: one.id,
        revision: one.revision,
        sheet: one.sheet,
        retired: one.retired,
        personId: personOf(one.personId),
        createdAt: new Date(one.enteredAt),
      })
      .onConflictDoNothing()
      .returning({ id: specSheets.id });
    added += kept.length;
  }
  return added;
}

async function isHere(tx: Handle, id: string): Promise<boolean> {
  return (await tx.$count(visits, eq(visits.id, id))) > 0;
}

/** @throws {Clash} where an id of the visit belongs to something else here */
async function takeVisit(
  tx: Handle,
  { shopId }: Actor,
  visit: ArchiveVisit,
  vehicleId: string,
  personOf: PersonOf,
): Promise<void> {
  const [last] = await tx
    .select({ number: max(visits.number) })
    .from(visits)
    .where(eq(visits.shopId, shopId));
  const isFree =
    (await tx.$count(visits, and(eq(visits.shopId, shopId), eq(visits.number, visit.number)))) ===
    0;
  const added = await tx
    .insert(visits)
    .values({
      id: visit.id,
      shopId,
      vehicleId,
      number: isFree ? visit.number : (last?.number ?? 0) + 1,
      arrivedAt: new Date(visit.arrivedAt),
      closedAt: visit.closedAt === null ? null : new Date(visit.closedAt),
      draft: foldEntries({}, visit.entries),
      seq: Math.max(0, ...visit.entries.map(({ seq }) => seq)),
    })
    .onConflictDoNothing()
    .returning({ id: visits.id });
  if (added.length === 0) throw new Clash('id: one that no other visit has');
  for (let first = 0; first < visit.entries.length; first += AT_ONCE) {
    const some = visit.entries.slice(first, first + AT_ONCE);
    const kept = await tx
      .insert(entries)
      .values(
        some.map((entry) => ({
          id: entry.id,
          shopId,
          visitId: visit.id,
          seq: entry.seq,
          path: entry.path,
          value: entry.value,
          over: entry.over ?? null,
          personId: personOf(entry.personId),
          at: new Date(entry.at),
          createdAt: new Date(entry.savedAt ?? entry.at),
        })),
      )
      .onConflictDoNothing()
      .returning({ id: entries.id });
    if (kept.length < some.length) {
      const here = await tx
        .select({ id: entries.id })
        .from(entries)
        .where(
          inArray(
            entries.id,
            some.map(({ id }) => id),
          ),
        );
      const ids = new Set(kept.map(({ id }) => id));
      const clash = here.find(({ id }) => !ids.has(id))?.id ?? 'an id';
      throw new Clash(`entries: ${clash} is an entry of another visit`);
    }
  }
  await takeDecisions(tx, shopId, visit, personOf);
  await takeLinks(tx, shopId, visit, personOf);
}

async function takeDecisions(
  tx: Handle,
  shopId: string,
  visit: ArchiveVisit,
  personOf: PersonOf,
): Promise<void> {
  if (visit.decisions.length === 0) return;
  const kept = await tx
    .insert(decisions)
    .values(
      visit.decisions.map(({ at, ...decision }) => ({
        ...decision,
        shopId,
        visitId: visit.id,
        personId: personOf(decision.personId),
        createdAt: new Date(at),
      })),
    )
    .onConflictDoNothing()
    .returning({ id: decisions.id });
  if (kept.length < visit.decisions.length) {
    throw new Clash('decisions: ids that no other decision has');
  }
}

/** A link whose address is taken already goes on leading there. */
async function takeLinks(
  tx: Handle,
  shopId: string,
  visit: ArchiveVisit,
  personOf: PersonOf,
): Promise<void> {
  if (!visit.links || visit.links.length === 0) return;
  await tx
    .insert(sheetLinks)
    .values(
      visit.links.map(({ at, endsAt, ...link }) => ({
        ...link,
        shopId,
        visitId: visit.id,
        personId: personOf(link.personId),
        endsAt: new Date(endsAt),
        createdAt: new Date(at),
      })),
    )
    .onConflictDoNothing();
}

async function takePhotos(
  tx: Handle,
  { shopId }: Actor,
  archive: OpenArchive,
  folder: string,
  visit: ArchiveVisit,
  personOf: PersonOf,
): Promise<void> {
  for (const { id, file, subject, personId, at } of visit.photos) {
    const bytes = await archive.picture(folder + file);
    const clean = bytes
      ? await cleanPicture(bytes, PHOTO_SIDE)
      : { expected: 'to be in the archive' };
    if ('expected' in clean) {
      archive.faults.push({ file: folder + file, expected: clean.expected });
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

/** Entries are checked as if they were typed: an archive comes from outside. */
function isEntry({ id, path, value, at, over }: ArchiveVisit['entries'][number]): boolean {
  const entry: Entry = { id, path, value, at, ...(over ? { over } : {}) };
  return entrySchema.safeParse(entry).success;
}
