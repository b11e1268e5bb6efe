import { sql } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/node-postgres';
import type { NodePgDatabase } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import * as schema from './schema/index.ts';

export type Database = NodePgDatabase<typeof schema>;
/** The database or a transaction on it: services take either, so that they join the caller's. */
export type Handle = Database | Parameters<Parameters<Database['transaction']>[0]>[0];

/** Runs work for one shop; see {@link inShop}. */
export type InShop = <T>(work: (tx: Handle) => Promise<T>) => Promise<T>;

const MAX_CONNECTIONS = 10;
const CONNECT_MS = 5_000;
const STATEMENT_MS = 20_000;

export function connect(url: string): { pool: pg.Pool; db: Database } {
  const pool = new pg.Pool({
    connectionString: url,
    max: MAX_CONNECTIONS,
    connectionTimeoutMillis: CONNECT_MS,
    statement_timeout: STATEMENT_MS,
    // A database that hangs without a word must not hold requests for ever.
    query_timeout: STATEMENT_MS + CONNECT_MS,
    idle_in_transaction_session_timeout: STATEMENT_MS,
    keepAlive: true,
    application_name: 'keen',
  });
  // A connection that breaks in the middle of a transaction, between two queries, says so on the client
  // itself: the next query fails anyway, but without a listener the process would end.
  pool.on('connect', (client) => client.on('error', () => undefined));
  return { pool, db: drizzle(pool, { schema }) };
}

/**
 * Runs work in a transaction that sees and writes the rows of one shop only: PostgreSQL's row security
 * goes by the setting, which ends with the transaction.
 */
export function inShop<T>(
  db: Database,
  shopId: string,
  work: (tx: Handle) => Promise<T>,
): Promise<T> {
  return db.transaction(async (tx) => {
    await tx.execute(sql`select set_config('keen.shop', ${shopId}, true)`);
    return work(tx);
  });
}
