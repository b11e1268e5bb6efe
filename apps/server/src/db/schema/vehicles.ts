import { pgTable, text, timestamp, unique, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
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
    /** When the customer was erased: the readings stay, nobody's name does. */
    erasedAt: timestamp('erased_at', { withTimezone: true }),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    uniqueIndex('vehicles_shop_plate').on(table.shopId, table.plateKey),
    unique('vehicles_shop_id').on(table.shopId, table.id),
    noLonger('vehicles_plate', table.plate, 40),
    noLonger('vehicles_label', table.label, 120),
    noLonger('vehicles_customer', table.customer, 120),
    noLonger('vehicles_phone', table.phone, 30),
    noLonger('vehicles_vin', table.vin, 17),
    ownRows('vehicles', table.shopId),
  ],
);
