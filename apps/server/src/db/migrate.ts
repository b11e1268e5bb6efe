import { readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { drizzle } from 'drizzle-orm/node-postgres';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import pg from 'pg';
import { setUpQueues } from './queues.ts';
import { grantToApp } from './appRole.ts';

const MIGRATIONS = fileURLToPath(new URL('../../drizzle', import.meta.url));
/** Any number, the same in every process: only one of them migrates at a time. */
const MIGRATION_LOCK = 4310_0001;

export class NewerDatabaseError extends Error {
  override name = 'NewerDatabaseError';
}

/**
 * Brings the database to this version's schema, as its owner, and gives the app's role what it needs.
 * @param ownerUrl - of the role that owns the tables
 * @param appRole - the role that the app connects as; nothing is granted when it is the owner itself
 * @throws {NewerDatabaseError} when a newer version has been at it; nothing is changed then
 */
export async function migrateDatabase(ownerUrl: string, appRole: string): Promise<void> {
  const client = new pg.Client({ connectionString: ownerUrl, application_name: 'keen migration' });
  // A connection that breaks fails the query at hand; without a listener it would end the process too.
  client.on('error', () => undefined);
  await client.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [MIGRATION_LOCK]);
    await refuseNewer(client);
    await migrate(drizzle(client), { migrationsFolder: MIGRATIONS });
    await setUpQueues(client);
    const { rows } = await client.query<{ owner: string }>('select current_user as owner');
    if (rows[0]?.owner !== appRole) await grantToApp(client, appRole);
  } finally {
    // The lock ends with its connection.
    await client.end();
  }
}

async function refuseNewer(client: pg.Client): Promise<void> {
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
