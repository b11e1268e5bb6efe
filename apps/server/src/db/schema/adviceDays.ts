import { ACTIONS, ANSWERS } from '@keen/contract';
import { date, integer, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import { ownRows } from './shopRows.ts';
import { shops } from './shops.ts';

/** How many visits ended alike on a day, each by its last decision. Derived from the decisions by a trigger. */
export const adviceDays = pgTable(
  'advice_days',
  {
    shopId: uuid('shop_id')
      .notNull()
      .references(() => shops.id),
    /** UTC */
    day: date().notNull(),
    personId: uuid('person_id').notNull(),
    advised: text({ enum: ACTIONS }).notNull(),
    chosen: text({ enum: ACTIONS }).notNull(),
    answer: text({ enum: ANSWERS }).notNull(),
    count: integer().notNull(),
  },
  (table) => [
    primaryKey({
      columns: [table.shopId, table.day, table.personId, table.advised, table.chosen, table.answer],
    }),
    ownRows('advice_days', table.shopId),
  ],
);
