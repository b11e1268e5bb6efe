import type { Preferences } from '@keen/contract';
import { ROLES } from '@keen/contract';
import { index, jsonb, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { shops } from './shops.ts';

export const people = pgTable(
  'people',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id')
      .notNull()
      .references(() => shops.id),
    name: text().notNull(),
    /** Lower case; one sign-in name in the whole installation. */
    email: text().notNull().unique(),
    role: text({ enum: ROLES }).notNull(),
    /** Argon2id; null for made-up staff, who sign in with one press. */
    passwordHash: text('password_hash'),
    preferences: jsonb().$type<Preferences>().notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('people_shop').on(table.shopId)],
);
