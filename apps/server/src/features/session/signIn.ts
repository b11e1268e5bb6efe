import { randomUUID } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import type { Role, SignIn } from '@keen/contract';
import { eq, sql } from 'drizzle-orm';
import { addAudit } from '../../db/audit.ts';
import { inShop } from '../../db/client.ts';
import type { Database, Handle } from '../../db/client.ts';
import { accounts, people } from '../../db/schema/index.ts';
import { AppError, forbidden, unauthenticated } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { checkCode, recoveryHash } from './secondFactor.ts';
import { writeTry } from './signInLimits.ts';

type AccountRow = typeof accounts.$inferSelect;

/**
 * Checks email, password and, where there is one, the second factor. Each try is counted before it is
 * checked.
 * @throws {AppError} 401 `wrong_password`, 401 `code_needed` or `wrong_code`, 403 for who is suspended, 429
 */
export async function signIn(db: Database, order: SignIn, address: string): Promise<Actor> {
  const email = order.email.toLowerCase();
  const { rows } = await db.execute<{
    account_id: string;
    password_hash: string | null;
    person_id: string;
    shop_id: string;
  }>(sql`select account_id, password_hash, person_id, shop_id from keen_sign_in(${email})`);
  const found = rows[0];
  const owner = found ? { id: found.person_id, shopId: found.shop_id } : null;
  const written = await writeTry(db, email, address, owner);
  // A hash for unknown names too, so that the time taken tells nothing.
  const ok = await verify(found?.password_hash ?? (await unknownHash()), order.password);
  if (!found?.password_hash || !ok) {
    if (owner) {
      await inShop(db, owner.shopId, (tx) =>
        addAudit(tx, { shopId: owner.shopId, personId: owner.id }, 'signInFailed', {}, address),
      );
    }
    throw new AppError(401, 'wrong_password', 'wrongPassword');
  }
  const actor = await inShop(db, found.shop_id, async (tx) => {
    const account = await lockAccount(tx, found.account_id);
    const admitted = await admit(tx, found.person_id);
    if (account.totpSecret !== null) await verifySecondFactor(tx, account, order.code ?? '');
    return admitted;
  });
  await written.succeeded();
  return actor;
}

/** One sign-in after the other, so that no code is taken twice. */
async function lockAccount(tx: Handle, id: string): Promise<AccountRow> {
  const [account] = await tx.select().from(accounts).where(eq(accounts.id, id)).for('update');
  if (!account) throw unauthenticated();
  return account;
}

/** Lets somebody who has proved who they are into a shop, which is then the one where they worked last. */
async function admit(tx: Handle, id: string): Promise<Actor> {
  const [person] = await tx.select().from(people).where(eq(people.id, id));
  if (!person) throw unauthenticated();
  if (person.suspendedAt) throw forbidden('suspended');
  const { accountId, shopId, role } = person;
  await tx.update(accounts).set({ lastShopId: shopId }).where(eq(accounts.id, accountId));
  return { accountId, personId: id, shopId, role };
}

/**
 * Goes on in another shop of one's own.
 * @throws {AppError} 403 where one does not work, or may not come in any more
 */
export async function changeShop(db: Database, actor: Actor, shopId: string): Promise<Actor> {
  const place = (await placesOf(db, actor.accountId)).find((one) => one.shop_id === shopId);
  if (!place) throw forbidden('notYourShop');
  return inShop(db, shopId, (tx) => admit(tx, place.person_id));
}

/** The shops where an account's owner may come in, and who they are in each. */
export async function placesOf(db: Pick<Handle, 'execute'>, accountId: string) {
  const { rows } = await db.execute<{
    person_id: string;
    shop_id: string;
    name: string;
    town: string;
    role: Role;
  }>(sql`select person_id, shop_id, name, town, role from keen_places(${accountId})`);
  return rows;
}

async function verifySecondFactor(tx: Handle, account: AccountRow, code: string): Promise<void> {
  if (code === '') {
    throw new AppError(401, 'code_needed', 'codeNeeded');
  }
  const last = account.totpLastStep === null ? null : Number(account.totpLastStep);
  const step = checkCode(account.totpSecret ?? '', code, last);
  if (step !== null) {
    await tx
      .update(accounts)
      .set({ totpLastStep: String(step) })
      .where(eq(accounts.id, account.id));
    return;
  }
  const left = account.recoveryHashes ?? [];
  const used = recoveryHash(code);
  if (!left.includes(used)) {
    throw new AppError(401, 'wrong_code', 'wrongCode');
  }
  await tx
    .update(accounts)
    .set({ recoveryHashes: left.filter((one) => one !== used) })
    .where(eq(accounts.id, account.id));
}

let unknown: Promise<string> | undefined;
function unknownHash(): Promise<string> {
  unknown ??= hash(randomUUID());
  return unknown;
}

/** Signs in as made-up staff: of a demo shop only, and only while the demo is served as one. */
export async function signInDemo(
  db: Database,
  isServed: boolean,
  personId: string,
): Promise<Actor> {
  const { rows } = isServed
    ? await db.execute<{ shop_id: string }>(sql`select shop_id from keen_demo_person(${personId})`)
    : { rows: [] };
  const [row] = rows;
  if (!row) throw forbidden('demoOnly');
  return inShop(db, row.shop_id, (tx) => admit(tx, personId));
}
