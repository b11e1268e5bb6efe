import {
  foreignKey,
  index,
  integer,
  pgTable,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { jsonb } from './jsonb.ts';
import { people } from './people.ts';
import { atLeast, noLonger, ownRows } from './shopRows.ts';
import { visits } from './visits.ts';

/** What has been entered about a visit: appended, never changed. */
export const entries = pgTable(
  'entries',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id').notNull(),
    visitId: uuid('visit_id').notNull(),
    seq: integer().notNull(),
    path: text().notNull(),
    /** SI value, or null where the field was cleared. */
    value: jsonb(),
    /** Entries of the same field seen when this one was made; null when nobody said. */
    over: jsonb().$type<string[]>(),
    personId: uuid('person_id').notNull(),
    /** By the clock of whoever entered it. */
    at: timestamp({ withTimezone: true }).notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    uniqueIndex('entries_visit_seq').on(table.shopId, table.visitId, table.seq),
    index('entries_shop_person').on(table.shopId, table.personId),
    foreignKey({
      name: 'entries_own_visit',
      columns: [table.shopId, table.visitId],
      foreignColumns: [visits.shopId, visits.id],
    }),
    foreignKey({
      name: 'entries_own_person',
      columns: [table.shopId, table.personId],
      foreignColumns: [people.shopId, people.id],
    }),
    atLeast('entries_seq', table.seq, 0),
    noLonger('entries_path', table.path, 80),
    ownRows('entries', table.shopId),
  ],
);
