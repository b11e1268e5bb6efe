import { foreignKey, index, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { people } from './people.ts';
import { ownRows } from './shopRows.ts';

/** Links by which a person chooses a password: an invitation, or a way back in. Each works once. */
export const passwordLinks = pgTable(
  'password_links',
  {
    /** SHA-256 of the link's secret, which is shown once and not stored. */
    hash: text().primaryKey(),
    shopId: uuid('shop_id').notNull(),
    personId: uuid('person_id').notNull(),
    endsAt: timestamp('ends_at', { withTimezone: true }).notNull(),
    usedAt: timestamp('used_at', { withTimezone: true }),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('password_links_shop_person').on(table.shopId, table.personId),
    foreignKey({
      name: 'password_links_own_person',
      columns: [table.shopId, table.personId],
      foreignColumns: [people.shopId, people.id],
    }),
    ownRows('password_links', table.shopId),
  ],
);
