import type { SpecSheet } from '@keen/contract';
import {
  boolean,
  foreignKey,
  index,
  integer,
  pgTable,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { jsonb } from './jsonb.ts';
import { people } from './people.ts';
import { atLeast, ownRows } from './shopRows.ts';

/** Revisions of specification sheets: appended, never changed. */
export const specSheets = pgTable(
  'spec_sheets',
  {
    /** Of this revision. */
    id: uuid().primaryKey(),
    shopId: uuid('shop_id').notNull(),
    sheetId: uuid('sheet_id').notNull(),
    revision: integer().notNull(),
    sheet: jsonb().$type<SpecSheet>().notNull(),
    retired: boolean().notNull(),
    /** From here on the sheet is as the chain has it, until the next revision of the shop's own. */
    followsChain: boolean('follows_chain').notNull().default(false),
    personId: uuid('person_id').notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    uniqueIndex('spec_sheets_revision').on(table.shopId, table.sheetId, table.revision),
    index('spec_sheets_shop_person').on(table.shopId, table.personId),
    foreignKey({
      name: 'spec_sheets_own_person',
      columns: [table.shopId, table.personId],
      foreignColumns: [people.shopId, people.id],
    }),
    atLeast('spec_sheets_revision_number', table.revision, 1),
    ownRows('spec_sheets', table.shopId),
  ],
);
