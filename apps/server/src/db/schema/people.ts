import type { Preferences } from '@keen/contract';
import { ROLES } from '@keen/contract';
import { boolean, pgTable, text, timestamp, unique, uuid } from 'drizzle-orm/pg-core';
import { accounts } from './accounts.ts';
import { jsonb } from './jsonb.ts';
import { noLonger, oneOf, ownRows } from './shopRows.ts';
import { shops } from './shops.ts';

export const people = pgTable(
  'people',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id')
      .notNull()
      .references(() => shops.id),
    name: text().notNull(),
    /** By which this person signs in; the same for somebody who works in several shops. */
    accountId: uuid('account_id')
      .notNull()
      .references(() => accounts.id),
    role: text({ enum: ROLES }).notNull(),
    /** Since when this person may not come in here; null for everybody who may. */
    suspendedAt: timestamp('suspended_at', { withTimezone: true }),
    preferences: jsonb().$type<Preferences>().notNull(),
    /** Whether the lead may see how this person does on practice cars. */
    showsPractice: boolean('shows_practice').notNull().default(false),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    unique('people_shop_id').on(table.shopId, table.id),
    unique('people_account_shop').on(table.accountId, table.shopId),
    oneOf('people_role', table.role, ROLES),
    noLonger('people_name', table.name, 80),
    ownRows('people', table.shopId),
  ],
);
