import { drizzle } from 'drizzle-orm/node-postgres';
import type { NodePgDatabase } from 'drizzle-orm/node-postgres';
import pg from 'pg';
import * as schema from './schema/index.ts';

export type Database = NodePgDatabase<typeof schema>;
/** The database or a transaction on it: services take either, so that they join the caller's. */
export type Handle = Database | Parameters<Parameters<Database['transaction']>[0]>[0];

const MAX_CONNECTIONS = 10;

export function connect(url: string): { pool: pg.Pool; db: Database } {
  const pool = new pg.Pool({ connectionString: url, max: MAX_CONNECTIONS });
  return { pool, db: drizzle(pool, { schema }) };
}
