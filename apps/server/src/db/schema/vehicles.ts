import {
  foreignKey,
  index,
  pgTable,
  text,
  timestamp,
  unique,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { noLonger, ownRows } from './shopRows.ts';
import { shops } from './shops.ts';

export const vehicles = pgTable(
  'vehicles',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id')
      .notNull()
      .references(() => shops.id),
    plate: text().notNull(),
    /** The plate as it is compared: upper case, letters and digits only. */
    plateKey: text('plate_key').notNull(),
    label: text().notNull(),
    customer: text().notNull(),
    phone: text().notNull().default(''),
    vin: text().notNull().default(''),
    /** Sizes of its tires by the latest visit, which set them by a trigger. */
    sizes: text().notNull().default(''),
    /** Its customer's name as it is compared; set by a trigger. */
    customerKey: text('customer_key').notNull().default(''),
    /** Arrival of the latest visit, kept by a trigger; when it was entered, while there is none. */
    lastVisitAt: timestamp('last_visit_at', { withTimezone: true }).notNull().defaultNow(),
    /** The car that this entry was joined to, because both are one car; null for a car by itself. */
    mergedInto: uuid('merged_into'),
    /** What the car is found by, in one text; set by a trigger. */
    search: text().notNull().default(''),
    /** When the customer was erased: the readings stay, nobody's name does. */
    erasedAt: timestamp('erased_at', { withTimezone: true }),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    uniqueIndex('vehicles_shop_plate').on(table.shopId, table.plateKey),
    index('vehicles_shop_latest').on(table.shopId, table.lastVisitAt, table.id),
    index('vehicles_shop_customer').on(
      table.shopId,
      table.customerKey,
      table.lastVisitAt,
      table.id,
    ),
    index('vehicles_shop_merged').on(table.shopId, table.mergedInto),
    foreignKey({
      name: 'vehicles_own_merged_into',
      columns: [table.shopId, table.mergedInto],
      foreignColumns: [table.shopId, table.id],
    }),
    unique('vehicles_shop_id').on(table.shopId, table.id),
    noLonger('vehicles_plate', table.plate, 40),
    noLonger('vehicles_label', table.label, 120),
    noLonger('vehicles_customer', table.customer, 120),
    noLonger('vehicles_phone', table.phone, 30),
    noLonger('vehicles_vin', table.vin, 17),
    ownRows('vehicles', table.shopId),
  ],
);
