import type { ShopChain } from '@keen/contract';
import { CHAIN_KINDS } from '@keen/contract';
import { sql } from 'drizzle-orm';
import type { AnyPgColumn } from 'drizzle-orm/pg-core';
import { index, pgPolicy, pgTable, primaryKey, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import { accounts } from './accounts.ts';
import { jsonb } from './jsonb.ts';
import { CURRENT_SHOP, noLonger, oneOf } from './shopRows.ts';

/**
 * Rows of a chain are seen by its shops. Nobody writes them but functions of the owner, which ask whether
 * it is a lead of the chain who wants it.
 */
export function ownChain(table: string, column: AnyPgColumn) {
  return pgPolicy(`${table}_own_chain`, {
    as: 'permissive',
    for: 'select',
    to: 'public',
    using: sql`${column} = (select chain_id from shops where shops.id = ${CURRENT_SHOP})`,
  });
}

/** Several shops of one house. */
export const chains = pgTable(
  'chains',
  {
    id: uuid().primaryKey(),
    name: text().notNull(),
    /** What holds in all shops, by path of the setting. */
    settled: jsonb().$type<ShopChain['settled']>().notNull(),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [noLonger('chains_name', table.name, 80), ownChain('chains', table.id)],
);

/** Who leads a chain, whatever they are in its shops. */
export const chainLeads = pgTable(
  'chain_leads',
  {
    chainId: uuid('chain_id')
      .notNull()
      .references(() => chains.id),
    accountId: uuid('account_id')
      .notNull()
      .references(() => accounts.id),
    createdAt: timestamp('created_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    primaryKey({ columns: [table.chainId, table.accountId] }),
    index('chain_leads_account').on(table.accountId),
    ownChain('chain_leads', table.chainId),
  ],
);

/** What was changed in a chain, appended only. */
export const chainLog = pgTable(
  'chain_log',
  {
    id: uuid().primaryKey(),
    chainId: uuid('chain_id')
      .notNull()
      .references(() => chains.id),
    kind: text({ enum: CHAIN_KINDS }).notNull(),
    /** The name of who did it, as it was then. */
    by: text().notNull(),
    /** A name, or the paths of settings. */
    what: jsonb().$type<string[]>().notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('chain_log_chain').on(table.chainId, table.at),
    oneOf('chain_log_kind', table.kind, CHAIN_KINDS),
    ownChain('chain_log', table.chainId),
  ],
);
