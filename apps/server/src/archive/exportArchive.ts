import type { Writable } from 'node:stream';
import { ARCHIVE_FORMAT, ARCHIVE_VERSION } from '@keen/contract';
import { and, asc, eq, getTableColumns, isNull } from 'drizzle-orm';
import type { Handle } from '../db/client.ts';
import {
  accounts,
  carMerges,
  people,
  shopLogos,
  shops,
  vehicles,
  visits,
} from '../db/schema/index.ts';
import { shopSettings } from '../db/shopSettings.ts';
import { notFound } from '../errors.ts';
import type { Actor } from '../http/signedIn.ts';
import { addVisits, endingOf, jsonOf, visitsInOrder } from './exportVisits.ts';
import type { AddFile } from './exportVisits.ts';
import { joinedCustomers } from './exportCustomers.ts';
import { gaugesOf } from './exportGauges.ts';
import { learningToExport } from './exportLearning.ts';
import { sheetsToExport } from './exportSheets.ts';
import { ZipWriter } from './zipWriter.ts';

const READ_ME = `A shop as open files.

shop.json, people.json, cars.json, sheets.json  what the shop has, without passwords
merges.json                                     entries of one car that were joined
customers.json                                  names of one customer that were joined
gauges.json                                     gauges with their checks, gauge studies
learning.json                                   what the diagnosis learned from the shop's own cars
visits/NUMBER-PLATE/visit.json                  everything entered and decided, with who and when
visits/NUMBER-PLATE/case.keen.json              the case file of the tread diagnosis
visits/NUMBER-PLATE/*.csv                       readings (mm), angles (degrees), estimate
visits/NUMBER-PLATE/photos/                     pictures

The JSON files bring the shop in again; the tables are for other programs.
`;

/** Told how many visits of all are done. */
export type Progress = (done: number, total: number) => void;

/**
 * Writes the whole shop as a zip, some visits at a time, so that a large shop needs little memory.
 * @param out - takes the bytes; is not ended
 * @param progress - told how many visits of all are in it
 */
export async function exportArchive(
  tx: Handle,
  actor: Actor,
  out: Writable,
  progress: Progress = () => undefined,
): Promise<void> {
  const zip = await ZipWriter.open(out);
  try {
    const add: AddFile = (name, bytes, isPacked = false) => zip.add(name, bytes, { isPacked });
    await addShop(tx, actor, add);
    await add('gauges.json', jsonOf(await gaugesOf(tx, actor.shopId)));
    await add('customers.json', jsonOf(await joinedCustomers(tx, actor.shopId)));
    await add('learning.json', jsonOf(await learningToExport(tx, actor.shopId)));
    const total = await tx.$count(visits, eq(visits.shopId, actor.shopId));
    let done = 0;
    for await (const some of visitsInOrder(tx, actor.shopId)) {
      await addVisits(tx, some, add);
      done += some.rows.length;
      progress(done, total);
    }
    await zip.end();
  } finally {
    await zip.close();
  }
}

async function addShop(tx: Handle, actor: Actor, add: AddFile): Promise<void> {
  const { shopId } = actor;
  const [shop] = await tx.select().from(shops).where(eq(shops.id, shopId));
  if (!shop) throw notFound('noShop');
  await add('README.txt', Buffer.from(READ_ME));
  await add(
    'shop.json',
    jsonOf({
      format: ARCHIVE_FORMAT,
      version: ARCHIVE_VERSION,
      exportedAt: new Date().toISOString(),
      name: shop.name,
      town: shop.town,
      settings: await shopSettings(tx, shopId),
      since: shop.createdAt.toISOString(),
    }),
  );
  const [logo] = await tx.select().from(shopLogos).where(eq(shopLogos.shopId, shopId));
  if (logo) await add(`logo.${endingOf(logo.type)}`, logo.picture, true);
  const staff = await tx
    .select({ ...getTableColumns(people), email: accounts.email })
    .from(people)
    .innerJoin(accounts, eq(accounts.id, people.accountId))
    .where(eq(people.shopId, shopId));
  await add(
    'people.json',
    jsonOf(
      staff.map(({ id, name, email, role, preferences, suspendedAt, createdAt }) => ({
        id,
        name,
        email,
        role,
        preferences,
        suspendedAt: suspendedAt?.toISOString() ?? null,
        since: createdAt.toISOString(),
      })),
    ),
  );
  const cars = await tx.select().from(vehicles).where(eq(vehicles.shopId, shopId));
  await add(
    'cars.json',
    jsonOf(
      cars.map(({ id, plate, label, customer, phone, vin, mergedInto, erasedAt, createdAt }) => ({
        id,
        plate,
        label,
        customer,
        phone,
        vin,
        ...(mergedInto && { mergedInto }),
        erasedAt: erasedAt?.toISOString() ?? null,
        since: createdAt.toISOString(),
      })),
    ),
  );
  const merges = await tx
    .select()
    .from(carMerges)
    .where(and(eq(carMerges.shopId, shopId), isNull(carMerges.undoneAt)))
    .orderBy(asc(carMerges.createdAt));
  await add(
    'merges.json',
    jsonOf(
      merges.map(({ id, vehicleId, mergedId, visitIds, personId, createdAt }) => ({
        id,
        carId: vehicleId,
        mergedId,
        visitIds,
        personId,
        at: createdAt.toISOString(),
      })),
    ),
  );
  await add('sheets.json', jsonOf(await sheetsToExport(tx, actor)));
}
