import type { SpecSheet } from '@keen/contract';
import { boolean, integer, pgTable, text, timestamp, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
import { chains, ownChain } from './chains.ts';
import { jsonb } from './jsonb.ts';
import { atLeast } from './shopRows.ts';

/** Revisions of specification sheets that a chain gives to all its shops: appended, never changed. */
export const chainSheets = pgTable(
  'chain_sheets',
  {
    /** Of this revision. */
    id: uuid().primaryKey(),
    chainId: uuid('chain_id')
      .notNull()
      .references(() => chains.id),
    sheetId: uuid('sheet_id').notNull(),
    revision: integer().notNull(),
    sheet: jsonb().$type<SpecSheet>().notNull(),
    retired: boolean().notNull(),
    /** The name of who gave it, as it was then. */
    by: text().notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    uniqueIndex('chain_sheets_revision').on(table.chainId, table.sheetId, table.revision),
    atLeast('chain_sheets_revision_number', table.revision, 1),
    ownChain('chain_sheets', table.chainId),
  ],
);
