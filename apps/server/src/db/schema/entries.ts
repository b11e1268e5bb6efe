import { integer, jsonb, pgTable, text, timestamp, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
import { people } from './people.ts';
import { shops } from './shops.ts';
import { visits } from './visits.ts';

/** What has been entered about a visit: appended, never changed. */
export const entries = pgTable(
  'entries',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id')
      .notNull()
      .references(() => shops.id),
    visitId: uuid('visit_id')
      .notNull()
      .references(() => visits.id),
    seq: integer().notNull(),
    path: text().notNull(),
    /** SI value, or null where the field was cleared. */
    value: jsonb(),
    /** Entries of the same field seen when this one was made; null when nobody said. */
    over: jsonb().$type<string[]>(),
    personId: uuid('person_id')
      .notNull()
      .references(() => people.id),
    /** By the clock of whoever entered it. */
    at: timestamp({ withTimezone: true }).notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [uniqueIndex('entries_visit_seq').on(table.visitId, table.seq)],
);
