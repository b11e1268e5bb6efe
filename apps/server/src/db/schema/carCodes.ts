import { foreignKey, index, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { people } from './people.ts';
import { ownRows } from './shopRows.ts';
import { vehicles } from './vehicles.ts';

/** Codes by which a customer takes a car with its history to another shop of the chain. Each works once. */
export const carCodes = pgTable(
  'car_codes',
  {
    /** SHA-256 of the code, which is shown once and not stored. */
    hash: text().primaryKey(),
    shopId: uuid('shop_id').notNull(),
    vehicleId: uuid('vehicle_id').notNull(),
    personId: uuid('person_id').notNull(),
    endsAt: timestamp('ends_at', { withTimezone: true }).notNull(),
    usedAt: timestamp('used_at', { withTimezone: true }),
    /** The name of the shop that took the car, as it was then. */
    takenBy: text('taken_by'),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('car_codes_shop_vehicle').on(table.shopId, table.vehicleId),
    index('car_codes_shop_person').on(table.shopId, table.personId),
    foreignKey({
      name: 'car_codes_own_vehicle',
      columns: [table.shopId, table.vehicleId],
      foreignColumns: [vehicles.shopId, vehicles.id],
    }),
    foreignKey({
      name: 'car_codes_own_person',
      columns: [table.shopId, table.personId],
      foreignColumns: [people.shopId, people.id],
    }),
    ownRows('car_codes', table.shopId),
  ],
);
