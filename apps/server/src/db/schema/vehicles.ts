import { index, pgTable, text, timestamp, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
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
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    uniqueIndex('vehicles_shop_plate').on(table.shopId, table.plateKey),
    index('vehicles_shop').on(table.shopId),
  ],
);
