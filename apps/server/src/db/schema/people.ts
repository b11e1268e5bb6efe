import type { Preferences } from '@keen/contract';
import { ROLES } from '@keen/contract';
import { boolean, pgTable, text, timestamp, unique, uuid } from 'drizzle-orm/pg-core';
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
    /** Lower case; one sign-in name in the whole installation. */
    email: text().notNull().unique(),
    role: text({ enum: ROLES }).notNull(),
    /** Argon2id; null for made-up staff, who sign in with one press, and until an invitation is taken up. */
    passwordHash: text('password_hash'),
    /** Since when this person may not sign in; null for everybody who may. */
    suspendedAt: timestamp('suspended_at', { withTimezone: true }),
    /** Key of the second factor, base32; null without one. */
    totpSecret: text('totp_secret'),
    /** The time step of the last code that was taken, so that none is taken twice. */
    totpLastStep: text('totp_last_step'),
    /** SHA-256 of each recovery code that is left: they are long and random. */
    recoveryHashes: jsonb('recovery_hashes').$type<string[]>(),
    preferences: jsonb().$type<Preferences>().notNull(),
    /** Whether the lead may see how this person does on practice cars. */
    showsPractice: boolean('shows_practice').notNull().default(false),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    unique('people_shop_id').on(table.shopId, table.id),
    oneOf('people_role', table.role, ROLES),
    noLonger('people_name', table.name, 80),
    noLonger('people_email', table.email, 200),
    ownRows('people', table.shopId),
  ],
);
