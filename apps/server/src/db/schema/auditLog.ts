import { bigserial, foreignKey, index, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { jsonb } from './jsonb.ts';
import { people } from './people.ts';
import { noLonger, ownRows } from './shopRows.ts';
import { shops } from './shops.ts';

/** Who did what that matters to the shop's safety: appended, never changed, read by its lead. */
export const auditLog = pgTable(
  'audit_log',
  {
    id: bigserial({ mode: 'number' }).primaryKey(),
    shopId: uuid('shop_id')
      .notNull()
      .references(() => shops.id),
    /** Null for what the server did by itself, and for tries of somebody unknown. */
    personId: uuid('person_id'),
    kind: text().notNull(),
    /** Names and numbers, never what was typed about a customer. */
    detail: jsonb().$type<Record<string, string | number>>().notNull(),
    address: text().notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('audit_log_shop_at').on(table.shopId, table.at),
    index('audit_log_shop_person').on(table.shopId, table.personId),
    foreignKey({
      name: 'audit_log_own_person',
      columns: [table.shopId, table.personId],
      foreignColumns: [people.shopId, people.id],
    }),
    noLonger('audit_log_kind', table.kind, 40),
    ownRows('audit_log', table.shopId),
  ],
);
