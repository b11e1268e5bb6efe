import type { ChangeVehicle, TireLine, VehicleRecord } from '@keen/contract';
import { validationIssue } from '@keen/contract';
import { checkVin } from '@keen/core';
import { and, asc, desc, eq, inArray, isNull, ne, sql } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { joinedName } from '../../db/joinedName.ts';
import { livingCars } from '../../db/livingCars.ts';
import { plateKeyOf } from '../../db/plateKey.ts';
import { tireLines as lines, vehicles, visits } from '../../db/schema/index.ts';
import { notifyLive } from '../../db/notifyLive.ts';
import { vehicleRecord } from '../../db/vehicleRecord.ts';
import { conflict, invalid, notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';

const MOST = 20;
const MOST_LINES = 500;

/** Cars of the shop by a part of plate, car, customer, telephone or VIN: plates that begin so first. */
export async function findVehicles(
  db: Handle,
  { shopId }: Actor,
  words: string,
): Promise<VehicleRecord[]> {
  const own = eq(vehicles.shopId, shopId);
  if (words === '') {
    const latest = await db
      .select()
      .from(vehicles)
      .where(and(own, isNull(vehicles.mergedInto)))
      .orderBy(desc(vehicles.lastVisitAt), desc(vehicles.id))
      .limit(MOST);
    return latest.map((row) => vehicleRecord(row, null));
  }
  const found = await db.execute<{ id: string }>(
    sql`select keen_find_cars(${words}, ${MOST}) as id`,
  );
  const ids = await livingCars(
    db,
    shopId,
    found.rows.map(({ id }) => id),
  );
  if (ids.length === 0) return [];
  const rows = await db
    .select()
    .from(vehicles)
    .where(and(own, inArray(vehicles.id, ids)));
  return rows
    .toSorted((a, b) => ids.indexOf(a.id) - ids.indexOf(b.id))
    .map((row) => vehicleRecord(row, null));
}

/**
 * Changes what is known of a car and its customer.
 * @throws {AppError} 400 for a VIN whose check digit is wrong, 409 for a plate that another car has
 */
export async function changeVehicle(
  tx: Handle,
  { shopId }: Actor,
  id: string,
  change: ChangeVehicle,
): Promise<VehicleRecord> {
  if (change.vin) {
    const found = checkVin(change.vin);
    if (!found.ok) throw invalid([validationIssue('vin', found.reason, found.values)]);
  }
  const plateKey = change.plate === undefined ? undefined : plateKeyOf(change.plate);
  if (plateKey !== undefined) {
    const [other] = await tx
      .select({ id: vehicles.id, mergedInto: vehicles.mergedInto })
      .from(vehicles)
      .where(
        and(eq(vehicles.shopId, shopId), eq(vehicles.plateKey, plateKey), ne(vehicles.id, id)),
      );
    if (other && other.mergedInto !== id) throw conflict('plateTaken');
    if (other) await swapPlates(tx, shopId, id, other.id, plateKey);
  }
  const [row] = await tx
    .update(vehicles)
    // A plate that is not changed leaves its key alone; so does an empty change everything.
    .set({
      ...change,
      ...(change.customer !== undefined && {
        customer: await joinedName(tx, shopId, change.customer),
      }),
      ...(plateKey === undefined ? {} : { plateKey }),
      shopId,
    })
    .where(and(eq(vehicles.id, id), eq(vehicles.shopId, shopId)))
    .returning();
  if (!row) throw notFound('noCar');
  const open = await tx.select({ id: visits.id }).from(visits).where(eq(visits.vehicleId, id));
  for (const visit of open) await notifyLive(tx, { shopId, visitId: visit.id });
  return vehicleRecord(row, null);
}

/** A car takes the plate of an entry that was joined to it; that one gets the car's. */
async function swapPlates(
  tx: Handle,
  shopId: string,
  id: string,
  mergedId: string,
  plateKey: string,
): Promise<void> {
  const own = eq(vehicles.shopId, shopId);
  const [car] = await tx
    .select({ plate: vehicles.plate, plateKey: vehicles.plateKey })
    .from(vehicles)
    .where(and(own, eq(vehicles.id, id)));
  if (!car) return;
  // A plate is one car's at any moment: the key in between belongs to no plate.
  await tx
    .update(vehicles)
    .set({ plateKey: `~${id}` })
    .where(and(own, eq(vehicles.id, id)));
  await tx
    .update(vehicles)
    .set({ plate: car.plate, plateKey: car.plateKey })
    .where(and(own, eq(vehicles.id, mergedId), eq(vehicles.plateKey, plateKey)));
}

/** Depth when new of each line of tires, as it was entered last in this shop; the lines used last. */
export async function tireLines(db: Handle, { shopId }: Actor): Promise<TireLine[]> {
  const rows = await db
    .select({ line: lines.line, newDepth: lines.newDepth })
    .from(lines)
    .where(eq(lines.shopId, shopId))
    .orderBy(desc(lines.at), asc(lines.key))
    .limit(MOST_LINES);
  return rows.toSorted((a, b) => a.line.localeCompare(b.line));
}
