import { sql } from 'drizzle-orm';
import type { Handle } from '../db/client.ts';

/** What an account has whose second factor is taken away. */
export const NO_SECOND_FACTOR = {
  totpSecret: null,
  totpLastStep: null,
  recoveryHashes: null,
} as const;

/**
 * The account of somebody whom the shop at hand lets in: a new one, or the one they have here already.
 * @param account - its e-mail, and the password of a new one where it has one already
 * @returns null for who signs in elsewhere with that e-mail
 */
export async function joinAccount(
  tx: Handle,
  { email, passwordHash }: { email: string; passwordHash: string | null },
): Promise<string | null> {
  const { rows } = await tx.execute<{ id: string | null }>(
    sql`select keen_join(${email.toLowerCase()}, ${passwordHash}) as id`,
  );
  return rows[0]?.id ?? null;
}
