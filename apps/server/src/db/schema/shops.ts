import { boolean, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';

export const shops = pgTable('shops', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  town: text().notNull(),
  isDemo: boolean('is_demo').notNull(),
  createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
});
