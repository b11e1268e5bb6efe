import { index, integer, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { ownRows } from './shopRows.ts';
import { visits } from './visits.ts';

/**
 * What each visit is found by: car, customer, the customer's words and the number in one text. Derived by
 * triggers; apart from the visits, so that a saved reading does not write the index of words.
 */
export const visitSearch = pgTable(
  'visit_search',
  {
    visitId: uuid('visit_id')
      .primaryKey()
      .references(() => visits.id, { onDelete: 'cascade' }),
    shopId: uuid('shop_id').notNull(),
    arrivedAt: timestamp('arrived_at', { withTimezone: true }).notNull(),
    number: integer().notNull(),
    text: text().notNull(),
  },
  (table) => [
    // A migration adds the index of word parts, which the schema cannot say.
    index('visit_search_arrived').on(table.shopId, table.arrivedAt, table.number),
    ownRows('visit_search', table.shopId),
  ],
);
