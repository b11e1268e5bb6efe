import type { SpecSheet } from '@keen/contract';
import {
  boolean,
  integer,
  jsonb,
  pgTable,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { people } from './people.ts';
import { shops } from './shops.ts';

/** Revisions of specification sheets: appended, never changed. */
export const specSheets = pgTable(
  'spec_sheets',
  {
    /** Of this revision. */
    id: uuid().primaryKey(),
    shopId: uuid('shop_id')
      .notNull()
      .references(() => shops.id),
    sheetId: uuid('sheet_id').notNull(),
    revision: integer().notNull(),
    sheet: jsonb().$type<SpecSheet>().notNull(),
    retired: boolean().notNull(),
    personId: uuid('person_id')
      .notNull()
      .references(() => people.id),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [uniqueIndex('spec_sheets_revision').on(table.shopId, table.sheetId, table.revision)],
);
