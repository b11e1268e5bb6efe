import type { NewCarMerge } from '@keen/contract';
import { and, eq, inArray, isNull } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { carMerges, vehicles, visits } from '../../db/schema/index.ts';
import { notifyLive } from '../../db/notifyLive.ts';
import { conflict, notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';

/**
 * Joins another entry of the same car to this one: its visits are this car's from now on, and its plate
 * leads here. What this car lacks of telephone and VIN it takes over. Asking twice joins once.
 * @throws {AppError} 404 when either is not there, 409 when either was joined already
 */
export async function mergeCars(
  tx: Handle,
  actor: Actor,
  id: string,
  { id: mergeId, vehicleId: mergedId }: NewCarMerge,
): Promise<void> {
  const { shopId, personId } = actor;
  const [known] = await tx.select().from(carMerges).where(eq(carMerges.id, mergeId));
  if (known) return;
  const own = eq(vehicles.shopId, shopId);
  // One order for both, so that two joins at once wait for each other.
  const pair = await tx
    .select()
    .from(vehicles)
    .where(and(own, inArray(vehicles.id, [id, mergedId])))
    .orderBy(vehicles.id)
    .for('update');
  const car = pair.find((row) => row.id === id);
  const merged = pair.find((row) => row.id === mergedId.toLowerCase());
  if (!car || !merged) throw notFound('noCar');
  if (car.id === merged.id) throw conflict('sameCar');
  if (car.mergedInto !== null || merged.mergedInto !== null) {
    throw conflict('joinedAlready');
  }
  const moved = await tx
    .update(visits)
    .set({ vehicleId: car.id })
    .where(and(eq(visits.shopId, shopId), eq(visits.vehicleId, merged.id)))
    .returning({ id: visits.id });
  await tx
    .update(vehicles)
    .set({ mergedInto: car.id })
    .where(and(own, eq(vehicles.id, merged.id)));
  const lacking = {
    ...(car.phone === '' && merged.phone !== '' && { phone: merged.phone }),
    ...(car.vin === '' && merged.vin !== '' && { vin: merged.vin }),
    ...(car.customer === '' && merged.customer !== '' && { customer: merged.customer }),
  };
  if (Object.keys(lacking).length > 0) {
    await tx
      .update(vehicles)
      .set(lacking)
      .where(and(own, eq(vehicles.id, car.id)));
  }
  await tx.insert(carMerges).values({
    id: mergeId,
    shopId,
    vehicleId: car.id,
    mergedId: merged.id,
    visitIds: moved.map((visit) => visit.id),
    personId,
  });
  await notifyVisits(tx, shopId, car.id);
}

/**
 * Takes a joined entry apart again: the visits that came with it go back. What was entered since stays
 * with the car.
 * @throws {AppError} 404 when there is no such join, or it was undone
 */
export async function undoMerge(
  tx: Handle,
  { shopId }: Actor,
  id: string,
  mergeId: string,
): Promise<void> {
  const own = eq(vehicles.shopId, shopId);
  const [car] = await tx
    .select({ mergedInto: vehicles.mergedInto })
    .from(vehicles)
    .where(and(own, eq(vehicles.id, id)))
    .for('update');
  if (car && car.mergedInto !== null) {
    throw conflict('joinedSince');
  }
  const [merge] = await tx
    .update(carMerges)
    .set({ undoneAt: new Date() })
    .where(
      and(
        eq(carMerges.shopId, shopId),
        eq(carMerges.id, mergeId),
        eq(carMerges.vehicleId, id),
        isNull(carMerges.undoneAt),
      ),
    )
    .returning();
  if (!merge) throw notFound('noMerge');
  await tx
    .update(vehicles)
    .set({ mergedInto: null })
    .where(and(own, eq(vehicles.id, merge.mergedId)));
  if (merge.visitIds.length > 0) {
    await tx
      .update(visits)
      .set({ vehicleId: merge.mergedId })
      .where(
        and(
          eq(visits.shopId, shopId),
          eq(visits.vehicleId, merge.vehicleId),
          inArray(visits.id, merge.visitIds),
        ),
      );
  }
  await notifyVisits(tx, shopId, merge.vehicleId);
  await notifyVisits(tx, shopId, merge.mergedId);
}

/** Pages that show these visits show the car they are of now. */
async function notifyVisits(tx: Handle, shopId: string, vehicleId: string): Promise<void> {
  const list = await tx
    .select({ id: visits.id })
    .from(visits)
    .where(and(eq(visits.shopId, shopId), eq(visits.vehicleId, vehicleId)));
  for (const { id } of list) await notifyLive(tx, { shopId, visitId: id });
}
