import {
  doublePrecision,
  index,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core';
import { ownRows } from './shopRows.ts';
import { shops } from './shops.ts';

/** Depth when new of each line of tires, as the shop entered it last. Derived from the visits by a trigger. */
export const tireLines = pgTable(
  'tire_lines',
  {
    shopId: uuid('shop_id')
      .notNull()
      .references(() => shops.id),
    /** The line in lower case, by which it is the same. */
    key: text().notNull(),
    line: text().notNull(),
    /** mm */
    newDepth: doublePrecision('new_depth').notNull(),
    /** Arrival of the visit that said so. */
    at: timestamp({ withTimezone: true }).notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.shopId, table.key] }),
    index('tire_lines_latest').on(table.shopId, table.at),
    ownRows('tire_lines', table.shopId),
  ],
);
