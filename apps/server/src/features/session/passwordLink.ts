import { hash } from '@node-rs/argon2';
import type { PasswordLinkOwner } from '@keen/contract';
import { and, eq, sql } from 'drizzle-orm';
import { addAudit } from '../../db/audit.ts';
import { inShop } from '../../db/client.ts';
import type { Database } from '../../db/client.ts';
import { accounts, passwordLinks, people, shops } from '../../db/schema/index.ts';
import { notFound } from '../../errors.ts';
import { withAccount } from '../../people/accounts.ts';
import { endSessions } from '../../people/ownSessions.ts';
import { linkHash } from '../../people/passwordLinks.ts';
import { refuseWeak } from '../../people/passwordRules.ts';

async function ownerOfLink(db: Database, token: string) {
  const { rows } = await db.execute<{ shop_id: string; person_id: string }>(
    sql`select shop_id, person_id from keen_password_link(${linkHash(token)})`,
  );
  const [row] = rows;
  if (!row) throw notFound('linkEnded');
  return { shopId: row.shop_id, personId: row.person_id };
}

/** Whom a password link is for. @throws {AppError} 404 when it has been used or has ended */
export async function passwordLinkOwner(db: Database, token: string): Promise<PasswordLinkOwner> {
  const { shopId, personId } = await ownerOfLink(db, token);
  return inShop(db, shopId, async (tx) => {
    const [row] = await tx
      .select({ name: people.name, email: accounts.email, shopName: shops.name })
      .from(people)
      .innerJoin(accounts, eq(accounts.id, people.accountId))
      .innerJoin(shops, eq(shops.id, people.shopId))
      .where(eq(people.id, personId));
    if (!row) throw notFound('noLink');
    return row;
  });
}

/** Chooses a password by a link, which works once, and ends whatever sessions there were. */
export async function choosePassword(
  db: Database,
  token: string,
  password: string,
  address: string,
): Promise<void> {
  const { shopId, personId } = await ownerOfLink(db, token);
  await inShop(db, shopId, async (tx) => {
    const person = await withAccount(tx, personId);
    if (!person) throw notFound('noLink');
    refuseWeak(password, [person.name, person.email]);
    const used = await tx
      .update(passwordLinks)
      .set({ usedAt: new Date() })
      .where(and(eq(passwordLinks.hash, linkHash(token)), sql`${passwordLinks.usedAt} is null`))
      .returning({ hash: passwordLinks.hash });
    if (used.length === 0) throw notFound('linkUsed');
    const { accountId } = person;
    await tx
      .update(accounts)
      .set({ passwordHash: await hash(password) })
      .where(eq(accounts.id, accountId));
    await endSessions(tx, { accountId });
    await addAudit(tx, { shopId, personId }, 'passwordChanged', { personId }, address);
  });
}
