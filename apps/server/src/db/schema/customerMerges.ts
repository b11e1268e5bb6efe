import { foreignKey, index, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { jsonb } from './jsonb.ts';
import { people } from './people.ts';
import { noLonger, ownRows } from './shopRows.ts';

/** A car whose customer was joined to another: what it said before. */
export interface RenamedCar {
  id: string;
  customer: string;
}

/** Names of one customer that were joined, with the cars that went along, so that it can be undone. */
export const customerMerges = pgTable(
  'customer_merges',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id').notNull(),
    /** The name that stays, and its key at that time. */
    name: text().notNull(),
    key: text().notNull(),
    /** The name that was joined, and its key: a car that is entered under it gets the one that stays. */
    mergedName: text('merged_name').notNull(),
    mergedKey: text('merged_key').notNull(),
    cars: jsonb().$type<RenamedCar[]>().notNull(),
    personId: uuid('person_id').notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
    undoneAt: timestamp('undone_at', { withTimezone: true }),
  },
  (table) => [
    index('customer_merges_key').on(table.shopId, table.key),
    index('customer_merges_merged').on(table.shopId, table.mergedKey),
    index('customer_merges_shop_person').on(table.shopId, table.personId),
    foreignKey({
      name: 'customer_merges_own_person',
      columns: [table.shopId, table.personId],
      foreignColumns: [people.shopId, people.id],
    }),
    noLonger('customer_merges_name', table.name, 120),
    noLonger('customer_merges_merged_name', table.mergedName, 120),
    ownRows('customer_merges', table.shopId),
  ],
);
