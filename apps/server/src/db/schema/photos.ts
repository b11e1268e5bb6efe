import { foreignKey, index, integer, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { bytea } from './bytea.ts';
import { people } from './people.ts';
import { atLeast, noLonger, oneOf, ownRows } from './shopRows.ts';
import { visits } from './visits.ts';

export const PICTURE_TYPES = ['image/jpeg', 'image/png'] as const;

/** Pictures taken at a visit, re-encoded when they arrived. */
export const photos = pgTable(
  'photos',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id').notNull(),
    visitId: uuid('visit_id').notNull(),
    subject: text().notNull(),
    type: text({ enum: PICTURE_TYPES }).notNull(),
    bytes: integer().notNull(),
    picture: bytea().notNull(),
    personId: uuid('person_id').notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('photos_visit').on(table.visitId, table.createdAt),
    index('photos_shop_visit').on(table.shopId, table.visitId),
    index('photos_shop_person').on(table.shopId, table.personId),
    foreignKey({
      name: 'photos_own_visit',
      columns: [table.shopId, table.visitId],
      foreignColumns: [visits.shopId, visits.id],
    }),
    foreignKey({
      name: 'photos_own_person',
      columns: [table.shopId, table.personId],
      foreignColumns: [people.shopId, people.id],
    }),
    oneOf('photos_type', table.type, PICTURE_TYPES),
    noLonger('photos_subject', table.subject, 80),
    atLeast('photos_bytes', table.bytes, 0),
    ownRows('photos', table.shopId),
  ],
);
