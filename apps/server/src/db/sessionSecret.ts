import { randomBytes } from 'node:crypto';
import { eq } from 'drizzle-orm';
import type { Database } from './client.ts';
import { secrets } from './schema/index.ts';

const NAME = 'session';

/** The key that signs session cookies: made once, kept in the database, shared by all processes. */
export async function sessionSecret(db: Database): Promise<string> {
  await db
    .insert(secrets)
    .values({ name: NAME, value: randomBytes(32).toString('hex') })
    .onConflictDoNothing();
  const [row] = await db.select().from(secrets).where(eq(secrets.name, NAME));
  if (!row) throw new Error('The session key could not be kept');
  return row.value;
}
