import type { VisitDraft } from '@keen/contract';
import { index, integer, jsonb, pgTable, timestamp, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
import { shops } from './shops.ts';
import { vehicles } from './vehicles.ts';

export const visits = pgTable(
  'visits',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id')
      .notNull()
      .references(() => shops.id),
    vehicleId: uuid('vehicle_id')
      .notNull()
      .references(() => vehicles.id),
    /** Counts up within the shop; what people say to one another. */
    number: integer().notNull(),
    arrivedAt: timestamp('arrived_at', { withTimezone: true }).notNull().defaultNow(),
    closedAt: timestamp('closed_at', { withTimezone: true }),
    /** The entries folded together: derived, kept so that lists need not fold. */
    draft: jsonb().$type<VisitDraft>().notNull(),
    /** Number of the last entry in the draft. */
    seq: integer().notNull(),
  },
  (table) => [
    uniqueIndex('visits_shop_number').on(table.shopId, table.number),
    index('visits_shop_arrived').on(table.shopId, table.arrivedAt),
    index('visits_vehicle').on(table.vehicleId),
  ],
);
