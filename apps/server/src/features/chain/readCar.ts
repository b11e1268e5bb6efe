import { asc, eq, inArray } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import {
  decisions,
  entries,
  people,
  photos,
  shops,
  vehicles,
  visits,
} from '../../db/schema/index.ts';
import { notFound } from '../../errors.ts';

/** A car with all that a shop knows of it, as it goes to another shop. */
export type CarHistory = Awaited<ReturnType<typeof readCar>>;

/** Reads a car with its visits and who worked on them. @throws {AppError} 404 */
export async function readCar(tx: Handle, vehicleId: string) {
  const [row] = await tx
    .select({ car: vehicles, shopName: shops.name })
    .from(vehicles)
    .innerJoin(shops, eq(shops.id, vehicles.shopId))
    .where(eq(vehicles.id, vehicleId));
  if (!row || row.car.erasedAt) throw notFound('noCar');
  const rows = await tx
    .select()
    .from(visits)
    .where(eq(visits.vehicleId, vehicleId))
    .orderBy(asc(visits.arrivedAt), asc(visits.number));
  const ids = rows.map(({ id }) => id);
  const [typed, decided, pictures] = [
    await tx.select().from(entries).where(inArray(entries.visitId, ids)).orderBy(entries.seq),
    await tx
      .select()
      .from(decisions)
      .where(inArray(decisions.visitId, ids))
      .orderBy(decisions.createdAt),
    await tx.select().from(photos).where(inArray(photos.visitId, ids)).orderBy(photos.createdAt),
  ];
  const authors = new Set([...typed, ...decided, ...pictures].map(({ personId }) => personId));
  const staff = await tx
    .select({ id: people.id, accountId: people.accountId, name: people.name, role: people.role })
    .from(people)
    .where(inArray(people.id, [...authors]));
  return {
    car: row.car,
    shopName: row.shopName,
    staff,
    visits: rows.map((visit) => ({
      visit,
      entries: typed.filter(({ visitId }) => visitId === visit.id),
      decisions: decided.filter(({ visitId }) => visitId === visit.id),
      photos: pictures.filter(({ visitId }) => visitId === visit.id),
    })),
  };
}
