import type { ApiScope } from '@keen/contract';
import { sql } from 'drizzle-orm';
import {
  foreignKey,
  index,
  integer,
  pgTable,
  text,
  timestamp,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { jsonb } from './jsonb.ts';
import { people } from './people.ts';
import { noLonger, ownRows } from './shopRows.ts';

/** Keys by which other programs ask for a shop. */
export const apiKeys = pgTable(
  'api_keys',
  {
    id: uuid().primaryKey(),
    shopId: uuid('shop_id').notNull(),
    personId: uuid('person_id').notNull(),
    name: text().notNull(),
    scopes: jsonb().$type<ApiScope[]>().notNull(),
    /** SHA-256 of the secret, which is shown once and not stored. */
    hash: text().notNull(),
    /** The last characters of the secret. */
    ending: text().notNull(),
    /** Of the secret before, while it is still taken. */
    oldHash: text('old_hash'),
    oldUntil: timestamp('old_until', { withTimezone: true }),
    /** Signs what we send to the program; it has to be readable for that. */
    signingSecret: text('signing_secret').notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
    endsAt: timestamp('ends_at', { withTimezone: true }),
    revokedAt: timestamp('revoked_at', { withTimezone: true }),
    lastUsedAt: timestamp('last_used_at', { withTimezone: true }),
    /** The minute in which it asked last, and how often in it. */
    minute: timestamp({ withTimezone: true }),
    asked: integer().notNull().default(0),
  },
  (table) => [
    uniqueIndex('api_keys_own').on(table.shopId, table.id),
    uniqueIndex('api_keys_hash').on(table.hash),
    index('api_keys_old_hash')
      .on(table.oldHash)
      .where(sql`${table.oldHash} is not null`),
    index('api_keys_shop_person').on(table.shopId, table.personId),
    foreignKey({
      name: 'api_keys_own_person',
      columns: [table.shopId, table.personId],
      foreignColumns: [people.shopId, people.id],
    }),
    noLonger('api_keys_name', table.name, 60),
    ownRows('api_keys', table.shopId),
  ],
);
