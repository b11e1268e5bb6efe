import type { ArchiveTaken, ArchiveVisit, Entry } from '@keen/contract';
import { entrySchema, MOST_PHOTO_BYTES } from '@keen/contract';
import { foldEntries } from '@keen/core';
import { and, eq, max, sql } from 'drizzle-orm';
import type { Database, Handle } from '../../db/client.ts';
import { plateKeyOf } from '../../db/plateKey.ts';
import {
  decisions,
  entries,
  people,
  photos,
  shopLogos,
  shops,
  specSheets,
  vehicles,
  visits,
} from '../../db/schema/index.ts';
import { tellLive } from '../../db/tellLive.ts';
import { forbidden } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { stripPicture } from '../../pictures/stripPicture.ts';
import type { OpenArchive } from './openArchive.ts';

/** Rows in one statement, whose parameters are limited. */
const AT_ONCE = 1_000;

/**
 * Brings an archive into the shop, all in one step: what is here already stays as it is, so the same
 * archive can be taken twice. A car with a known plate is that car; a person with a known e-mail is that
 * person. Settings are taken by a shop without visits only.
 * @throws {AppError} 403 for anybody but the lead
 */
export async function takeArchive(
  db: Database,
  actor: Actor,
  archive: OpenArchive,
): Promise<ArchiveTaken> {
  return db.transaction(async (tx) => {
    const [asker] = await tx.select().from(people).where(eq(people.id, actor.personId));
    if (asker?.role !== 'lead' || asker.shopId !== actor.shopId) {
      throw forbidden('Only the lead of the shop brings a shop in');
    }
    await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${actor.shopId}))`);
    const isEmpty = (await tx.$count(visits, eq(visits.shopId, actor.shopId))) === 0;
    if (isEmpty) await takeSettings(tx, actor, archive);
    const staff = await takePeople(tx, actor, archive);
    const cars = await takeCars(tx, actor, archive);
    const sheets = await takeSheets(tx, actor, archive, staff.idOf);
    const faults = [...archive.faults];
    let taken = 0;
    let known = 0;
    for (const { folder, visit } of archive.visits) {
      const vehicleId = cars.idOf.get(visit.carId);
      const bad = visit.entries.findIndex((entry) => !isEntry(entry));
      if (!vehicleId || bad >= 0) {
        const expected = vehicleId ? `entries.${bad}: a field of a visit` : 'a car of cars.json';
        faults.push({ file: `${folder}visit.json`, expected });
        continue;
      }
      if (await takeVisit(tx, actor, visit, vehicleId, staff.idOf)) {
        taken++;
        await takePhotos(tx, actor, archive, folder, visit, staff.idOf);
      } else known++;
    }
    await tellLive(tx, { shopId: actor.shopId, kind: 'settings' });
    await tellLive(tx, { shopId: actor.shopId, kind: 'sheets' });
    return {
      visits: taken,
      known,
      cars: cars.added,
      people: staff.added,
      sheets,
      settings: isEmpty,
      faults,
    };
  });
}

type PersonOf = (id: string) => string;

async function takeSettings(tx: Handle, { shopId }: Actor, archive: OpenArchive): Promise<void> {
  await tx.update(shops).set({ settings: archive.shop.settings }).where(eq(shops.id, shopId));
  const logo = archive.logo && stripPicture(archive.logo);
  if (logo) {
    await tx
      .insert(shopLogos)
      .values({ shopId, ...logo })
      .onConflictDoUpdate({ target: shopLogos.shopId, set: logo });
  }
}

/** People keep their ids where those are free; whoever cannot be kept is spoken for by the lead. */
async function takePeople(
  tx: Handle,
  { shopId, personId }: Actor,
  archive: OpenArchive,
): Promise<{ added: number; idOf: PersonOf }> {
  const idOf = new Map<string, string>();
  let added = 0;
  for (const { id, name, email, role, preferences } of archive.people) {
    const kept = await tx
      .insert(people)
      .values({ id, shopId, name, email: email.toLowerCase(), role, preferences })
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
    if (same) idOf.set(id, same.id);
  }
  return { added, idOf: (id) => idOf.get(id) ?? personId };
}

async function takeCars(
  tx: Handle,
  { shopId }: Actor,
  archive: OpenArchive,
): Promise<{ added: number; idOf: Map<string, string> }> {
  const idOf = new Map<string, string>();
  let added = 0;
  for (const car of archive.cars) {
    const plateKey = plateKeyOf(car.plate);
    const kept = await tx
      .insert(vehicles)
      .values({ ...car, shopId, plateKey })
      .onConflictDoNothing()
      .returning({ id: vehicles.id });
    added += kept.length;
    const [same] = await tx
      .select({ id: vehicles.id })
      .from(vehicles)
      .where(and(eq(vehicles.shopId, shopId), eq(vehicles.plateKey, plateKey)));
    if (same) idOf.set(car.id, same.id);
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

/** @returns whether it was taken; one that is here already stays as it is */
async function takeVisit(
  tx: Handle,
  { shopId }: Actor,
  visit: ArchiveVisit,
  vehicleId: string,
  personOf: PersonOf,
): Promise<boolean> {
  const [last] = await tx
    .select({ number: max(visits.number) })
    .from(visits)
    .where(eq(visits.shopId, shopId));
  const isFree =
    (await tx.$count(visits, and(eq(visits.shopId, shopId), eq(visits.number, visit.number)))) ===
    0;
  const kept = await tx
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
  if (kept.length === 0) return false;
  for (let first = 0; first < visit.entries.length; first += AT_ONCE) {
    await tx.insert(entries).values(
      visit.entries.slice(first, first + AT_ONCE).map((entry) => ({
        id: entry.id,
        shopId,
        visitId: visit.id,
        seq: entry.seq,
        path: entry.path,
        value: entry.value,
        over: entry.over ?? null,
        personId: personOf(entry.personId),
        at: new Date(entry.at),
      })),
    );
  }
  if (visit.decisions.length > 0) {
    await tx.insert(decisions).values(
      visit.decisions.map(({ at, ...decision }) => ({
        ...decision,
        shopId,
        visitId: visit.id,
        personId: personOf(decision.personId),
        createdAt: new Date(at),
      })),
    );
  }
  return true;
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
    const bytes = archive.fileAt(folder + file);
    const plain = bytes && bytes.length <= MOST_PHOTO_BYTES ? stripPicture(bytes) : null;
    if (!plain) continue;
    await tx
      .insert(photos)
      .values({
        id,
        shopId,
        visitId: visit.id,
        subject,
        type: plain.type,
        bytes: plain.picture.length,
        picture: plain.picture,
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
