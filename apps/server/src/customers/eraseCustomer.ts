import { PERSONAL_PATHS } from '@keen/contract';
import { foldEntries } from '@keen/core';
import { and, asc, eq, ne, or, sql } from 'drizzle-orm';
import type { Handle } from '../db/client.ts';
import { entryRecord } from '../db/entryRecord.ts';
import { customerMerges, entries, vehicles, visits } from '../db/schema/index.ts';

/**
 * Erases what names a customer or is theirs: name, telephone, plate, VIN, words, signature, pictures,
 * links. Readings, angles and what was decided stay, of a car without a name.
 * @returns ids of the car's visits, or null when there is no such car in this shop
 */
export async function eraseCustomer(
  tx: Handle,
  shopId: string,
  carId: string,
): Promise<string[] | null> {
  await forgetNames(tx, shopId, carId);
  const { rows } = await tx.execute<{ erased: boolean }>(
    sql`select keen_erase_customer(${carId}, array[${sql.join(
      PERSONAL_PATHS.map((path) => sql`${path}`),
      sql`, `,
    )}]::text[]) as erased`,
  );
  if (!rows[0]?.erased) return null;
  // Entries that were joined to this car are the same customer's.
  const joined = await tx
    .select({ id: vehicles.id })
    .from(vehicles)
    .where(and(eq(vehicles.shopId, shopId), eq(vehicles.mergedInto, carId)));
  for (const { id } of joined) await eraseCustomer(tx, shopId, id);
  const list = await tx
    .select({ id: visits.id })
    .from(visits)
    .where(and(eq(visits.shopId, shopId), eq(visits.vehicleId, carId)));
  for (const { id } of list) {
    // What lists show is folded from the entries: it must forget what they have forgotten.
    const left = await tx
      .select()
      .from(entries)
      .where(eq(entries.visitId, id))
      .orderBy(asc(entries.seq));
    await tx
      .update(visits)
      .set({ draft: foldEntries({}, left.map(entryRecord)) })
      .where(eq(visits.id, id));
  }
  return list.map(({ id }) => id);
}

/**
 * Takes a car's customer out of what names were joined: the car's own line, and the names themselves where no
 * other car has them.
 */
async function forgetNames(tx: Handle, shopId: string, carId: string): Promise<void> {
  const own = eq(vehicles.shopId, shopId);
  const [car] = await tx
    .select({ key: vehicles.customerKey })
    .from(vehicles)
    .where(and(own, eq(vehicles.id, carId)));
  if (!car || car.key === '') return;
  const ofName = or(eq(customerMerges.key, car.key), eq(customerMerges.mergedKey, car.key));
  const merges = await tx
    .select()
    .from(customerMerges)
    .where(and(eq(customerMerges.shopId, shopId), ofName));
  if (merges.length === 0) return;
  const isLast =
    (await tx.$count(
      vehicles,
      and(own, eq(vehicles.customerKey, car.key), ne(vehicles.id, carId)),
    )) === 0;
  for (const { id, cars } of merges) {
    await tx
      .update(customerMerges)
      .set({
        cars: cars.filter((one) => one.id !== carId),
        ...(isLast && { name: '', key: '', mergedName: '', mergedKey: '', undoneAt: new Date() }),
      })
      .where(and(eq(customerMerges.shopId, shopId), eq(customerMerges.id, id)));
  }
}
