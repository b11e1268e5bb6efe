import { index, json, pgTable, timestamp, varchar } from 'drizzle-orm/pg-core';

/** The shape that connect-pg-simple expects. */
export const sessions = pgTable(
  'session',
  {
    sid: varchar().primaryKey(),
    sess: json().notNull(),
    expire: timestamp({ precision: 6 }).notNull(),
  },
  // A migration adds an index on the person within `sess`, which the schema cannot say.
  (table) => [index('session_expire').on(table.expire)],
);
