import { sql } from 'drizzle-orm';
import { pgPolicy, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { jsonb } from './jsonb.ts';
import { CURRENT_SHOP, noLonger } from './shopRows.ts';

/** Who has an account is seen by the shops that its owner works in. */
const worksHere = sql`exists (select from people where people.account_id = accounts.id and people.shop_id = ${CURRENT_SHOP})`;

/** By what somebody signs in, wherever they work: one account, and in each of their shops a person. */
export const accounts = pgTable(
  'accounts',
  {
    id: uuid().primaryKey(),
    /** Lower case; one account in the whole installation. */
    email: text().notNull().unique(),
    /** Argon2id; null for made-up staff, who sign in with one press, and until an invitation is taken up. */
    passwordHash: text('password_hash'),
    /** Key of the second factor, base32; null without one. */
    totpSecret: text('totp_secret'),
    /** The time step of the last code that was taken, so that none is taken twice. */
    totpLastStep: text('totp_last_step'),
    /** SHA-256 of each recovery code that is left: they are long and random. */
    recoveryHashes: jsonb('recovery_hashes').$type<string[]>(),
    /** Where its owner worked last: that shop is opened by signing in, as long as they may come in there. */
    lastShopId: uuid('last_shop_id'),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    noLonger('accounts_email', table.email, 200),
    pgPolicy('accounts_own_people', {
      as: 'permissive',
      for: 'all',
      to: 'public',
      using: worksHere,
      withCheck: worksHere,
    }),
  ],
);
