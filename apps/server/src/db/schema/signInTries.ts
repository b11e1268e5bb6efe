import { bigserial, index, pgTable, text, timestamp } from 'drizzle-orm/pg-core';

/**
 * Tries to sign in, each written down before it is checked, so that many at once cannot slip by the
 * limit. Kept in the database so that several processes count as one. A try that succeeds is taken out.
 */
export const signInTries = pgTable(
  'sign_in_tries',
  {
    id: bigserial({ mode: 'number' }).primaryKey(),
    email: text().notNull(),
    /** Where it came from. */
    address: text().notNull().default(''),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('sign_in_tries_email_at').on(table.email, table.at),
    index('sign_in_tries_address_at').on(table.address, table.at),
    index('sign_in_tries_at').on(table.at),
  ],
);
