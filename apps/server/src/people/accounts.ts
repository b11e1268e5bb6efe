import { eq, sql } from 'drizzle-orm';
import type { Handle } from '../db/client.ts';
import { accounts, people } from '../db/schema/index.ts';

/** What an account has whose second factor is taken away. */
export const NO_SECOND_FACTOR = {
  totpSecret: null,
  totpLastStep: null,
  recoveryHashes: null,
} as const;

/**
 * The account of somebody whom the shop at hand lets in: a new one, or the one they have here already.
 * @param account - its email, and the password of a new one where it has one already
 * @returns null for who signs in outside the chain with that email, or has not chosen a password yet
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

/**
 * Whether somebody who works in other shops may come in here too. Links by which their password can still be chosen
 * end; who has not chosen one yet does so first.
 */
export async function shareAccount(tx: Handle, accountId: string): Promise<boolean> {
  const { rows } = await tx.execute<{ shared: boolean }>(
    sql`select keen_share(${accountId}) as shared`,
  );
  return rows[0]?.shared ?? false;
}

/** Somebody's name with what their account signs in by. */
export async function withAccount(tx: Handle, personId: string) {
  const [row] = await tx
    .select({
      name: people.name,
      email: accounts.email,
      passwordHash: accounts.passwordHash,
      accountId: accounts.id,
    })
    .from(people)
    .innerJoin(accounts, eq(accounts.id, people.accountId))
    .where(eq(people.id, personId));
  return row;
}
