import { foreignKey, index, pgTable, timestamp, uuid } from 'drizzle-orm/pg-core';
import { jsonb } from './jsonb.ts';
import { people } from './people.ts';
import { ownRows } from './shopRows.ts';
import { vehicles } from './vehicles.ts';

/** Entries of one car that were joined, with the visits that went along, so that it can be undone. */
export const carMerges = pgTable(
  'car_merges',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id').notNull(),
    /** The entry that stays. */
    vehicleId: uuid('vehicle_id').notNull(),
    /** The one that was joined to it. */
    mergedId: uuid('merged_id').notNull(),
    visitIds: jsonb('visit_ids').$type<string[]>().notNull(),
    personId: uuid('person_id').notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
    undoneAt: timestamp('undone_at', { withTimezone: true }),
  },
  (table) => [
    index('car_merges_vehicle').on(table.shopId, table.vehicleId),
    index('car_merges_merged').on(table.shopId, table.mergedId),
    index('car_merges_shop_person').on(table.shopId, table.personId),
    foreignKey({
      name: 'car_merges_own_vehicle',
      columns: [table.shopId, table.vehicleId],
      foreignColumns: [vehicles.shopId, vehicles.id],
    }),
    foreignKey({
      name: 'car_merges_own_merged',
      columns: [table.shopId, table.mergedId],
      foreignColumns: [vehicles.shopId, vehicles.id],
    }),
    foreignKey({
      name: 'car_merges_own_person',
      columns: [table.shopId, table.personId],
      foreignColumns: [people.shopId, people.id],
    }),
    ownRows('car_merges', table.shopId),
  ],
);
