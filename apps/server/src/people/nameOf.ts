import { eq } from 'drizzle-orm';
import type { Handle } from '../db/client.ts';
import { people } from '../db/schema/index.ts';

/** The name of a person of the shop at hand; empty for nobody of it. */
export async function nameOf(tx: Handle, personId: string): Promise<string> {
  const [person] = await tx
    .select({ name: people.name })
    .from(people)
    .where(eq(people.id, personId));
  return person?.name ?? '';
}
