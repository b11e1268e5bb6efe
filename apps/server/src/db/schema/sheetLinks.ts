import type { Paper } from '@keen/contract';
import { index, integer, jsonb, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { people } from './people.ts';
import { shops } from './shops.ts';
import { visits } from './visits.ts';

/** Links to customers' sheets: each shows the sheet as it was when the link was made, until it ends. */
export const sheetLinks = pgTable(
  'sheet_links',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id')
      .notNull()
      .references(() => shops.id),
    visitId: uuid('visit_id')
      .notNull()
      .references(() => visits.id),
    /** Not to be guessed: who has it reads the sheet. */
    token: text().notNull().unique(),
    paper: jsonb().$type<Paper>().notNull(),
    endsAt: timestamp('ends_at', { withTimezone: true }).notNull(),
    /** How often it was read. */
    opened: integer().notNull().default(0),
    personId: uuid('person_id')
      .notNull()
      .references(() => people.id),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('sheet_links_visit').on(table.visitId, table.createdAt)],
);
