import type { DueRow } from '@keen/contract';
import type { InferSelectModel } from 'drizzle-orm';
import type { reminders, vehicles } from './schema/index.ts';

/** Something due, as the API tells it. */
export function dueRow(
  due: InferSelectModel<typeof reminders>,
  vehicle: Pick<InferSelectModel<typeof vehicles>, 'label' | 'plate' | 'customer' | 'phone'>,
): DueRow {
  return {
    visitId: due.visitId,
    number: due.number,
    place: due.place,
    reminder: due.reminder,
    car: vehicle.label,
    plate: vehicle.plate,
    customer: vehicle.customer,
    phone: vehicle.phone,
  };
}
