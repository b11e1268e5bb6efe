import { readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import type pg from 'pg';

const MIGRATIONS = fileURLToPath(new URL('../../drizzle', import.meta.url));
/** Any number, the same in every process: only one of them migrates at a time. */
const MIGRATION_LOCK = 4310_0001;

export class NewerDatabaseError extends Error {
  override name = 'NewerDatabaseError';
}

/**
 * Brings the database to this version's schema.
 * @throws {NewerDatabaseError} when a newer version has been at it; nothing is changed then
 */
export async function migrateDatabase(pool: pg.Pool): Promise<void> {
  const client = await pool.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await refuseNewer(client);
    await migrate(drizzle(client), { migrationsFolder: MIGRATIONS });
  } finally {
    await client.query('select pg_advisory_unlock($1)', [MIGRATION_LOCK]);
    client.release();
  }
}

async function refuseNewer(client: pg.PoolClient): Promise<void> {
  const known = await client.query<{ table: string | null }>(
    `select to_regclass('drizzle.__drizzle_migrations')::text as table`,
  );
  if (known.rows[0]?.table === null) return;
  const applied = await client.query<{ at: string | null }>(
    'select max(created_at) as at from drizzle.__drizzle_migrations',
  );
  const journal = JSON.parse(await readFile(`${MIGRATIONS}/meta/_journal.json`, 'utf8')) as {
    entries: { when: number }[];
  };
  const newest = Math.max(...journal.entries.map((entry) => entry.when));
  if (Number(applied.rows[0]?.at ?? 0) > newest) {
    throw new NewerDatabaseError(
      'This database was set up by a newer version of Keen Groove; start that version, or use another --data folder.',
    );
  }
}
