import { index, integer, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { bytea } from './bytea.ts';
import { people } from './people.ts';
import { shops } from './shops.ts';
import { visits } from './visits.ts';

/** Pictures taken at a visit, stripped of where and with what they were taken. */
export const photos = pgTable(
  'photos',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id')
      .notNull()
      .references(() => shops.id),
    visitId: uuid('visit_id')
      .notNull()
      .references(() => visits.id),
    subject: text().notNull(),
    type: text({ enum: ['image/jpeg', 'image/png'] }).notNull(),
    bytes: integer().notNull(),
    picture: bytea().notNull(),
    personId: uuid('person_id')
      .notNull()
      .references(() => people.id),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('photos_visit').on(table.visitId, table.createdAt)],
);
