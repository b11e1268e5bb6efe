import type { Drive, VehicleRecord } from '@keen/contract';
import type { InferSelectModel } from 'drizzle-orm';
import type { vehicles } from './schema/index.ts';

/** A car as the API tells it. */
export function vehicleRecord(
  row: InferSelectModel<typeof vehicles>,
  drive: Drive | null,
): VehicleRecord {
  const { id, plate, label, customer, phone, vin } = row;
  return { id, plate, label, customer, phone, vin, drive };
}
