import { randomUUID } from 'node:crypto';
import { expectation } from '@keen/contract';
import { and, eq, inArray, isNull, or } from 'drizzle-orm';
import type { Handle } from '../db/client.ts';
import { plateKeyOf } from '../db/plateKey.ts';
import {
  carMerges,
  chainSheets,
  people,
  shopLogos,
  shops,
  specSheets,
  vehicles,
} from '../db/schema/index.ts';
import type { Actor } from '../http/signedIn.ts';
import { joinAccount } from '../people/accounts.ts';
import { cleanPicture } from '../pictures/cleanPicture.ts';
import { LOGO_SIDE } from '../pictures/pictureSizes.ts';
import type { OpenArchive } from './openArchive.ts';

/** Rows in one statement, whose parameters are limited. */
const AT_ONCE = 1_000;

/** Who a person of the archive is in this shop. */
export type PersonOf = (id: string) => string;

/** Settings, name and logo. */
export async function importSettings(
  tx: Handle,
  { shopId }: Actor,
  archive: OpenArchive,
): Promise<void> {
  const { name, town, settings, since } = archive.shop;
  await tx
    .update(shops)
    .set({ name, town, settings, ...(since ? { createdAt: new Date(since) } : {}) })
    .where(eq(shops.id, shopId));
  const logo = archive.logo && (await cleanPicture(archive.logo, LOGO_SIDE));
  if (!logo) return;
  if ('expected' in logo) {
    archive.faults.push({ file: 'logo', ...logo });
    return;
  }
  await tx
    .insert(shopLogos)
    .values({ shopId, ...logo })
    .onConflictDoUpdate({ target: shopLogos.shopId, set: logo });
}

/** People keep their ids where those are free; whoever cannot be kept is spoken for by the lead. */
export async function importPeople(
  tx: Handle,
  { shopId, personId }: Actor,
  archive: OpenArchive,
): Promise<{ added: number; idOf: PersonOf }> {
  const idOf = new Map<string, string>();
  let added = 0;
  for (const { id, name, email, role, preferences, suspendedAt, since } of archive.people) {
    const accountId = await joinAccount(tx, { email, passwordHash: null });
    // Somebody signs in elsewhere with this email.
    if (accountId === null) continue;
    const person = {
      shopId,
      accountId,
      name,
      role,
      preferences,
      suspendedAt: suspendedAt ? new Date(suspendedAt) : null,
      ...(since ? { createdAt: new Date(since) } : {}),
    };
    const insert = async (newId: string) => {
      const kept = await tx
        .insert(people)
        .values({ id: newId, ...person })
        .onConflictDoNothing()
        .returning({ id: people.id });
      added += kept.length;
    };
    const find = async () => {
      const isSame = or(eq(people.id, id), eq(people.accountId, accountId));
      const [same] = await tx
        .select({ id: people.id })
        .from(people)
        .where(and(eq(people.shopId, shopId), isSame));
      return same;
    };
    await insert(id);
    // The id may be that of somebody in another shop.
    if (!(await find())) await insert(randomUUID());
    const same = await find();
    if (same) idOf.set(id.toLowerCase(), same.id);
  }
  return { added, idOf: (id) => idOf.get(id.toLowerCase()) ?? personId };
}

/** A car with a known plate is that car. */
export async function importCars(
  tx: Handle,
  { shopId }: Actor,
  archive: OpenArchive,
): Promise<{ added: number; idOf: Map<string, string> }> {
  const idOf = new Map<string, string>();
  let added = 0;
  for (let first = 0; first < archive.cars.length; first += AT_ONCE) {
    const some = archive.cars.slice(first, first + AT_ONCE).map((car) => ({
      ...car,
      plateKey: plateKeyOf(car.plate),
    }));
    const kept = await tx
      .insert(vehicles)
      .values(
        // What a car was joined to may not be here yet; see importMerges.
        some.map(({ id, plate, plateKey, label, customer, phone, vin, erasedAt, since }) => ({
          id,
          plate,
          plateKey,
          label,
          customer,
          phone,
          vin,
          shopId,
          erasedAt: erasedAt ? new Date(erasedAt) : null,
          ...(since ? { createdAt: new Date(since) } : {}),
        })),
      )
      .onConflictDoNothing()
      .returning({ id: vehicles.id });
    added += kept.length;
    const here = await tx
      .select({ id: vehicles.id, plateKey: vehicles.plateKey })
      .from(vehicles)
      .where(
        and(
          eq(vehicles.shopId, shopId),
          inArray(
            vehicles.plateKey,
            some.map(({ plateKey }) => plateKey),
          ),
        ),
      );
    const byPlate = new Map(here.map(({ id, plateKey }) => [plateKey, id]));
    for (const { id, plateKey } of some) {
      const same = byPlate.get(plateKey);
      if (same) idOf.set(id.toLowerCase(), same);
    }
  }
  return { added, idOf };
}

/** Which entries are joined to which car, where neither was told otherwise here. */
export async function importMerges(
  tx: Handle,
  { shopId }: Actor,
  archive: OpenArchive,
  carOf: ReadonlyMap<string, string>,
  personOf: PersonOf,
): Promise<void> {
  const here = (id: string) => carOf.get(id.toLowerCase());
  const into = new Map<string, string>();
  for (const { id, mergedInto } of archive.cars) {
    const [car, target] = [here(id), mergedInto && here(mergedInto)];
    if (car && target && car !== target) into.set(car, target);
  }
  for (const [car, target] of into) {
    if (leadsBack(into, car)) {
      archive.faults.push({
        file: 'cars.json',
        ...expectation('carNotItself', { car }),
      });
      continue;
    }
    await tx
      .update(vehicles)
      .set({ mergedInto: target })
      .where(and(eq(vehicles.shopId, shopId), eq(vehicles.id, car), isNull(vehicles.mergedInto)));
  }
  for (const { id, carId, mergedId, visitIds, personId, at } of archive.merges) {
    const [vehicleId, merged] = [here(carId), here(mergedId)];
    if (!vehicleId || !merged || into.get(merged) !== vehicleId) continue;
    await tx
      .insert(carMerges)
      .values({
        id,
        shopId,
        vehicleId,
        mergedId: merged,
        visitIds,
        personId: personOf(personId),
        createdAt: new Date(at),
      })
      .onConflictDoNothing();
  }
}

function leadsBack(into: ReadonlyMap<string, string>, car: string): boolean {
  const seen = new Set([car]);
  for (let next = into.get(car); next !== undefined; next = into.get(next)) {
    if (seen.has(next)) return true;
    seen.add(next);
  }
  return false;
}

/** Revisions of specification sheets that are not here yet. What the shop's chain gives here is not taken again. */
export async function importSheets(
  tx: Handle,
  { shopId }: Actor,
  archive: OpenArchive,
  personOf: PersonOf,
): Promise<number> {
  const given = new Set(
    (await tx.selectDistinct({ id: chainSheets.sheetId }).from(chainSheets)).map(({ id }) => id),
  );
  let added = 0;
  for (const one of archive.sheets) {
    if (one.followsChain && given.has(one.id)) continue;
    const kept = await tx
      .insert(specSheets)
      .values({
        id: one.revisionId,
        shopId,
        sheetId: one.id,
        revision: one.revision,
        sheet: one.sheet,
        retired: one.retired,
        followsChain: one.followsChain ?? false,
        personId: personOf(one.personId),
        createdAt: new Date(one.enteredAt),
      })
      .onConflictDoNothing()
      .returning({ id: specSheets.id });
    added += kept.length;
  }
  return added;
}
