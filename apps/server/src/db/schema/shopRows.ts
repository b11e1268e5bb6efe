import { sql } from 'drizzle-orm';
import type { AnyPgColumn } from 'drizzle-orm/pg-core';
import { check, pgPolicy } from 'drizzle-orm/pg-core';

/** The shop that the transaction works for; see `inShop`. */
export const CURRENT_SHOP = sql.raw(`nullif(current_setting('keen.shop', true), '')::uuid`);

/**
 * Rows of a shop are seen and written only by a transaction that works for that shop: the database's own
 * wall behind the one in our queries.
 */
export function ownRows(table: string, column: AnyPgColumn) {
  const isOwn = sql`${column} = ${CURRENT_SHOP}`;
  return pgPolicy(`${table}_own_shop`, {
    as: 'permissive',
    for: 'all',
    to: 'public',
    using: isOwn,
    withCheck: isOwn,
  });
}

/** A column takes just these words. */
export function oneOf(name: string, column: AnyPgColumn, words: readonly string[]) {
  const list = words.map((word) => `'${word}'`).join(', ');
  return check(name, sql`${column} in (${sql.raw(list)})`);
}

/** A text is no longer than this. */
export function noLonger(name: string, column: AnyPgColumn, most: number) {
  return check(name, sql`char_length(${column}) <= ${sql.raw(String(most))}`);
}

/** A number is at least this. */
export function atLeast(name: string, column: AnyPgColumn, least: number) {
  return check(name, sql`${column} >= ${sql.raw(String(least))}`);
}
