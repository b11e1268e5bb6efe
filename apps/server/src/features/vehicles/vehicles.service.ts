import type { ChangeVehicle, TireLine, VehicleRecord } from '@keen/contract';
import { checkVin } from '@keen/core';
import { and, desc, eq, ilike, ne, or, sql } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { plateKeyOf } from '../../db/plateKey.ts';
import { vehicles, visits } from '../../db/schema/index.ts';
import { tellLive } from '../../db/tellLive.ts';
import { vehicleRecord } from '../../db/vehicleRecord.ts';
import { conflict, invalid, notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';

const MOST = 20;
const MOST_LINES = 200;

/** Cars of the shop by a part of plate, car, customer, telephone or VIN. */
export async function findVehicles(
  db: Handle,
  { shopId }: Actor,
  words: string,
): Promise<VehicleRecord[]> {
  const rows = await db
    .select()
    .from(vehicles)
    .where(and(eq(vehicles.shopId, shopId), matching(words)))
    .orderBy(desc(vehicles.createdAt))
    .limit(MOST);
  return rows.map((row) => vehicleRecord(row, null));
}

function matching(words: string) {
  if (words === '') return undefined;
  const escaped = `%${words.replace(/[\\%_]/g, '\\$&')}%`;
  const plate = words.toUpperCase().replace(/[^\p{L}\p{N}]/gu, '');
  const digits = words.replace(/\D/g, '');
  return or(
    ilike(vehicles.label, escaped),
    ilike(vehicles.customer, escaped),
    ...(plate === ''
      ? []
      : [ilike(vehicles.plateKey, `%${plate}%`), ilike(vehicles.vin, `%${plate}%`)]),
    // A telephone number is written in many ways; its digits count.
    ...(digits.length < 3
      ? []
      : [sql`regexp_replace(${vehicles.phone}, '\\D', '', 'g') like ${`%${digits}%`}`]),
  );
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
    if (!found.ok) throw invalid([{ path: 'vin', expected: found.expected }]);
  }
  const plateKey = change.plate === undefined ? undefined : plateKeyOf(change.plate);
  if (plateKey !== undefined) {
    const [other] = await tx
      .select({ id: vehicles.id })
      .from(vehicles)
      .where(
        and(eq(vehicles.shopId, shopId), eq(vehicles.plateKey, plateKey), ne(vehicles.id, id)),
      );
    if (other) throw conflict('Another car has this plate');
  }
  const [row] = await tx
    .update(vehicles)
    // A plate that is not changed leaves its key alone; so does an empty change everything.
    .set({ ...change, ...(plateKey === undefined ? {} : { plateKey }), shopId })
    .where(and(eq(vehicles.id, id), eq(vehicles.shopId, shopId)))
    .returning();
  if (!row) throw notFound('car');
  const open = await tx.select({ id: visits.id }).from(visits).where(eq(visits.vehicleId, id));
  for (const visit of open) await tellLive(tx, { shopId, visitId: visit.id });
  return vehicleRecord(row, null);
}

/** Depth when new of each line of tires, as it was entered last in this shop. */
export async function tireLines(db: Handle, { shopId }: Actor): Promise<TireLine[]> {
  const { rows } = await db.execute<{ line: string; depth: number }>(sql`
    select distinct on (lower(line)) line, depth::float8 as depth
    from (
      select wheel.value ->> 'line' as line,
             ${visits.draft} -> 'tires' -> wheel.key ->> 'newDepth' as depth,
             ${visits.arrivedAt} as at
      from ${visits}, jsonb_each(${visits.draft} -> 'visit' -> 'tires') as wheel
      where ${visits.shopId} = ${shopId}
    ) as known
    where line is not null and depth is not null
    order by lower(line), at desc
    limit ${MOST_LINES}
  `);
  return rows.map(({ line, depth }) => ({ line, newDepth: Number(depth) }));
}
