import { pgTable, text } from 'drizzle-orm/pg-core';

/** Keys made at the first start, shared by every server process on this database. */
export const secrets = pgTable('secrets', { name: text().primaryKey(), value: text().notNull() });
