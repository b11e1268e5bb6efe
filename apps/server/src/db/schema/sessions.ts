import { index, json, pgTable, timestamp, varchar } from 'drizzle-orm/pg-core';

/** The shape that connect-pg-simple expects. */
export const sessions = pgTable(
  'session',
  {
    sid: varchar().primaryKey(),
    sess: json().notNull(),
    expire: timestamp({ precision: 6 }).notNull(),
  },
  (table) => [index('session_expire').on(table.expire)],
);
