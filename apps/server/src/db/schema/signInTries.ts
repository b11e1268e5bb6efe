import { bigserial, index, pgTable, text, timestamp } from 'drizzle-orm/pg-core';

/** Wrong tries to sign in, kept in the database so that several processes slow down as one. */
export const signInTries = pgTable(
  'sign_in_tries',
  {
    id: bigserial({ mode: 'number' }).primaryKey(),
    email: text().notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [index('sign_in_tries_email_at').on(table.email, table.at)],
);
