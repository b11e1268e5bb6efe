import type { Paper } from '@keen/contract';
import { foreignKey, index, integer, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { jsonb } from './jsonb.ts';
import { people } from './people.ts';
import { atLeast, ownRows } from './shopRows.ts';
import { visits } from './visits.ts';

/** Links to customers' sheets: each shows the sheet as it was when the link was made, until it ends. */
export const sheetLinks = pgTable(
  'sheet_links',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id').notNull(),
    visitId: uuid('visit_id').notNull(),
    /** Not to be guessed: who has it reads the sheet. */
    token: text().notNull().unique(),
    paper: jsonb().$type<Paper>().notNull(),
    endsAt: timestamp('ends_at', { withTimezone: true }).notNull(),
    /** How often it was read. */
    opened: integer().notNull().default(0),
    personId: uuid('person_id').notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('sheet_links_visit').on(table.visitId, table.createdAt),
    index('sheet_links_shop_visit').on(table.shopId, table.visitId),
    index('sheet_links_shop_person').on(table.shopId, table.personId),
    foreignKey({
      name: 'sheet_links_own_visit',
      columns: [table.shopId, table.visitId],
      foreignColumns: [visits.shopId, visits.id],
    }),
    foreignKey({
      name: 'sheet_links_own_person',
      columns: [table.shopId, table.personId],
      foreignColumns: [people.shopId, people.id],
    }),
    atLeast('sheet_links_opened', table.opened, 0),
    ownRows('sheet_links', table.shopId),
  ],
);
