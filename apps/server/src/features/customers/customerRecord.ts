import type { CustomerRecord } from '@keen/contract';
import { and, asc, eq } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { decisions, photos, sheetLinks, vehicles, visits } from '../../db/schema/index.ts';
import { notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';

/** Everything that is stored of one customer. @throws {AppError} 404 for a car that is not the shop's */
export async function customerRecord(
  tx: Handle,
  { shopId }: Actor,
  carId: string,
): Promise<CustomerRecord> {
  const [car] = await tx
    .select()
    .from(vehicles)
    .where(and(eq(vehicles.id, carId), eq(vehicles.shopId, shopId)));
  if (!car) throw notFound('noCar');
  const list = await tx
    .select()
    .from(visits)
    .where(and(eq(visits.shopId, shopId), eq(visits.vehicleId, carId)))
    .orderBy(asc(visits.arrivedAt));
  const records: CustomerRecord['visits'] = [];
  for (const { id, number, arrivedAt, draft } of list) {
    const decided = await tx
      .select({ reason: decisions.reason })
      .from(decisions)
      .where(eq(decisions.visitId, id));
    const estimate = draft.visit?.estimate;
    records.push({
      id,
      number,
      arrivedAt: arrivedAt.toISOString(),
      words: draft.visit?.words ?? '',
      signedBy: estimate?.signed?.name ?? null,
      reasons: [
        ...decided.map(({ reason }) => reason),
        ...(estimate?.lines ?? []).map(({ reason = '' }) => reason),
      ].filter((reason) => reason !== ''),
      photos: await tx.$count(photos, eq(photos.visitId, id)),
      links: await tx.$count(sheetLinks, eq(sheetLinks.visitId, id)),
    });
  }
  return {
    carId,
    plate: car.plate,
    car: car.label,
    customer: car.customer,
    phone: car.phone,
    vin: car.vin,
    erasedAt: car.erasedAt?.toISOString() ?? null,
    visits: records,
  };
}
