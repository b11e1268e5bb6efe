import type { StoredTires } from '@keen/contract';
import { date, foreignKey, index, pgTable, uuid } from 'drizzle-orm/pg-core';
import { jsonb } from './jsonb.ts';
import { ownRows } from './shopRows.ts';
import { vehicles } from './vehicles.ts';
import { visits } from './visits.ts';

/** Tires of each car that the shop stores by its latest visit. Derived from the visits by triggers. */
export const storedTires = pgTable(
  'stored_tires',
  {
    vehicleId: uuid('vehicle_id').primaryKey(),
    shopId: uuid('shop_id').notNull(),
    visitId: uuid('visit_id')
      .notNull()
      .references(() => visits.id, { onDelete: 'cascade' }),
    since: date({ mode: 'string' }).notNull(),
    stored: jsonb().$type<StoredTires>().notNull(),
  },
  (table) => [
    index('stored_tires_latest').on(table.shopId, table.since, table.visitId),
    index('stored_tires_shop_vehicle').on(table.shopId, table.vehicleId),
    index('stored_tires_visit').on(table.visitId),
    foreignKey({
      name: 'stored_tires_own_vehicle',
      columns: [table.shopId, table.vehicleId],
      foreignColumns: [vehicles.shopId, vehicles.id],
    }),
    ownRows('stored_tires', table.shopId),
  ],
);
