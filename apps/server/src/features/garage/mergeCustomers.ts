import type { NewCustomerMerge } from '@keen/contract';
import { and, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { customerMerges, vehicles, visits } from '../../db/schema/index.ts';
import { notifyLive } from '../../db/notifyLive.ts';
import { conflict, notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { customerKeyOf } from './readCustomers.ts';

/**
 * Joins the customer of another car to this car's: the other's cars are this customer's from now on, and whoever
 * is entered under that name later is as well. Asking twice joins once.
 * @throws {AppError} 404 when either is not there, 409 when they are one already
 */
export async function mergeCustomers(
  tx: Handle,
  { shopId, personId }: Actor,
  carId: string,
  { id, carId: mergedCarId }: NewCustomerMerge,
): Promise<void> {
  await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${`customers ${shopId}`}))`);
  const [known] = await tx
    .select({ id: customerMerges.id })
    .from(customerMerges)
    .where(eq(customerMerges.id, id));
  if (known) return;
  const key = await customerKeyOf(tx, shopId, carId);
  const mergedKey = await customerKeyOf(tx, shopId, mergedCarId);
  if (key === mergedKey) throw conflict('sameCustomer');
  const name = await nameOf(tx, shopId, key);
  const mergedName = await nameOf(tx, shopId, mergedKey);
  const cars = await tx
    .select({ id: vehicles.id, customer: vehicles.customer })
    .from(vehicles)
    .where(and(eq(vehicles.shopId, shopId), eq(vehicles.customerKey, mergedKey)))
    .for('update');
  await rename(
    tx,
    shopId,
    cars.map((car) => car.id),
    name,
  );
  await tx
    .insert(customerMerges)
    .values({ id, shopId, name, key, mergedName, mergedKey, cars, personId });
}

/**
 * Takes a joined customer apart again: the cars that came along are called as they were, unless somebody has
 * changed that since.
 * @throws {AppError} 404 when there is no such join, or it was undone
 */
export async function undoCustomerMerge(
  tx: Handle,
  { shopId }: Actor,
  mergeId: string,
): Promise<void> {
  const [merge] = await tx
    .update(customerMerges)
    .set({ undoneAt: new Date() })
    .where(
      and(
        eq(customerMerges.shopId, shopId),
        eq(customerMerges.id, mergeId),
        isNull(customerMerges.undoneAt),
      ),
    )
    .returning();
  if (!merge) throw notFound('noMerge');
  const byName = new Map<string, string[]>();
  for (const { id, customer } of merge.cars) {
    byName.set(customer, [...(byName.get(customer) ?? []), id]);
  }
  for (const [customer, ids] of byName) {
    const still = await tx
      .select({ id: vehicles.id })
      .from(vehicles)
      .where(
        and(
          eq(vehicles.shopId, shopId),
          inArray(vehicles.id, ids),
          eq(vehicles.customerKey, merge.key),
        ),
      );
    await rename(
      tx,
      shopId,
      still.map(({ id }) => id),
      customer,
    );
  }
}

async function rename(
  tx: Handle,
  shopId: string,
  ids: readonly string[],
  customer: string,
): Promise<void> {
  if (ids.length === 0) return;
  await tx
    .update(vehicles)
    .set({ customer })
    .where(and(eq(vehicles.shopId, shopId), inArray(vehicles.id, [...ids])));
  // Open visits show whose car it is.
  const open = await tx
    .select({ id: visits.id })
    .from(visits)
    .where(
      and(eq(visits.shopId, shopId), inArray(visits.vehicleId, [...ids]), isNull(visits.closedAt)),
    );
  for (const { id } of open) await notifyLive(tx, { shopId, visitId: id });
}

/** What a customer is called, by the car that was seen last. */
async function nameOf(tx: Handle, shopId: string, key: string): Promise<string> {
  const [car] = await tx
    .select({ customer: vehicles.customer })
    .from(vehicles)
    .where(
      and(eq(vehicles.shopId, shopId), eq(vehicles.customerKey, key), isNull(vehicles.mergedInto)),
    )
    .orderBy(sql`${vehicles.lastVisitAt} desc`)
    .limit(1);
  if (!car) throw notFound('noCustomer');
  return car.customer;
}
