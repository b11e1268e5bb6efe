import { hash } from '@node-rs/argon2';
import type { ChangePerson, NewPerson, PasswordLink, StaffMember } from '@keen/contract';
import { DEFAULT_PREFERENCES } from '@keen/contract';
import { and, eq, isNull, ne, sql } from 'drizzle-orm';
import type { SQL } from 'drizzle-orm';
import { addAudit } from '../../db/audit.ts';
import type { Handle } from '../../db/client.ts';
import { accounts, passwordLinks, people } from '../../db/schema/index.ts';
import { shopSettings } from '../../db/shopSettings.ts';
import { notifyLive } from '../../db/notifyLive.ts';
import { AppError, conflict, notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { joinAccount, NO_SECOND_FACTOR, shareAccount } from '../../people/accounts.ts';
import { changeSessionRole, endSessions } from '../../people/ownSessions.ts';
import { newPasswordLink } from '../../people/passwordLinks.ts';
import { refuseWeak } from '../../people/passwordRules.ts';

interface StaffRow {
  person: typeof people.$inferSelect;
  account: typeof accounts.$inferSelect;
}

/** The shop's people as its lead sees them. */
export async function listStaff(tx: Handle, { shopId }: Actor): Promise<StaffMember[]> {
  const rows = await staffRows(tx, eq(people.shopId, shopId)).orderBy(people.name);
  return rows.map(memberOf);
}

function staffRows(tx: Handle, which: SQL | undefined) {
  return tx
    .select({ person: people, account: accounts })
    .from(people)
    .innerJoin(accounts, eq(accounts.id, people.accountId))
    .where(which);
}

function memberOf({ person, account }: StaffRow): StaffMember {
  const { id, name, role } = person;
  return {
    id,
    name,
    email: account.email,
    role,
    suspended: person.suspendedAt !== null,
    hasPassword: account.passwordHash !== null,
    hasSecondFactor: account.totpSecret !== null,
  };
}

/** @throws {AppError} 404 for a stranger */
async function findPerson(tx: Handle, { shopId }: Actor, id: string): Promise<StaffRow> {
  const [row] = await staffRows(tx, and(eq(people.id, id), eq(people.shopId, shopId)));
  if (!row) throw notFound('noPerson');
  return row;
}

/**
 * Lets a colleague in; without a password they choose one by a link. Asking twice with the same id adds
 * one person.
 * @throws {AppError} 409 when the email is taken, 400 for a password that is easily guessed
 */
export async function addPerson(
  tx: Handle,
  actor: Actor,
  order: NewPerson,
  address: string,
): Promise<StaffMember> {
  const { id, name, role, password } = order;
  const { shopId } = actor;
  if (password !== undefined) refuseWeak(password, [name, order.email]);
  const { units } = await shopSettings(tx, shopId);
  const accountId = await joinAccount(tx, {
    email: order.email,
    passwordHash: password === undefined ? null : await hash(password),
  });
  if (accountId === null) throw conflict('emailTaken');
  const added = await tx
    .insert(people)
    .values({
      id,
      shopId,
      accountId,
      name,
      role,
      preferences: { ...DEFAULT_PREFERENCES, units },
    })
    .onConflictDoNothing()
    .returning();
  if (added[0]) {
    await addAudit(tx, actor, 'personAdded', { personId: id, role }, address);
    await notifyLive(tx, { shopId, kind: 'settings' });
  }
  const [row] = await staffRows(tx, and(eq(people.id, id), eq(people.shopId, shopId)));
  // The email is that of a colleague whom they have already.
  if (!row) throw conflict('emailTaken');
  return memberOf(row);
}

/**
 * Changes a colleague's name or role, suspends them or takes them back. A new role holds from their next
 * request; suspending ends their sessions at once.
 * @throws {AppError} 409 when no lead would be left who can sign in
 */
export async function changePerson(
  tx: Handle,
  actor: Actor,
  id: string,
  change: ChangePerson,
  address: string,
): Promise<StaffMember> {
  const { shopId } = actor;
  await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${`people ${shopId}`}))`);
  const { person: before, account } = await findPerson(tx, actor, id);
  const { name, role, suspended, hasSecondFactor } = change;
  const staysLead = (role ?? before.role) === 'lead' && !(suspended ?? before.suspendedAt !== null);
  if (before.role === 'lead' && !staysLead && !(await hasOtherLead(tx, shopId, id))) {
    throw new AppError(409, 'last_lead', 'lastLead');
  }
  await tx
    .update(people)
    .set({
      id,
      ...(name === undefined ? {} : { name }),
      ...(role === undefined ? {} : { role }),
      ...(suspended === undefined ? {} : { suspendedAt: suspended ? new Date() : null }),
    })
    .where(eq(people.id, id));
  // Somebody of another shop comes in here from now on.
  if (suspended === false && !(await shareAccount(tx, account.id))) throw conflict('noPasswordYet');
  if (hasSecondFactor === false) {
    await refuseShared(tx, account.id);
    await tx.update(accounts).set(NO_SECOND_FACTOR).where(eq(accounts.id, account.id));
  }
  if (suspended || hasSecondFactor === false) await endSessions(tx, { personId: id });
  else if (role !== undefined) await changeSessionRole(tx, id, role);
  await addAudit(
    tx,
    actor,
    'personChanged',
    {
      personId: id,
      ...(role === undefined ? {} : { role }),
      ...(suspended === undefined ? {} : { suspended: Number(suspended) }),
      ...(hasSecondFactor === false ? { secondFactor: 0 } : {}),
    },
    address,
  );
  await notifyLive(tx, { shopId, kind: 'settings' });
  return memberOf(await findPerson(tx, actor, id));
}

async function hasOtherLead(tx: Handle, shopId: string, id: string): Promise<boolean> {
  const others = and(
    eq(people.shopId, shopId),
    eq(people.role, 'lead'),
    isNull(people.suspendedAt),
    ne(people.id, id),
  );
  return (await tx.$count(people, others)) > 0;
}

/**
 * Gives a colleague a new password, which ends their sessions.
 * @throws {AppError} 404 for a stranger, 400 for one that is easily guessed
 */
export async function givePassword(
  tx: Handle,
  actor: Actor,
  id: string,
  password: string,
  address: string,
): Promise<void> {
  const { person, account } = await findPerson(tx, actor, id);
  await refuseShared(tx, account.id);
  refuseWeak(password, [person.name, account.email]);
  await tx
    .update(accounts)
    .set({ passwordHash: await hash(password) })
    .where(eq(accounts.id, account.id));
  await endSessions(tx, { accountId: account.id });
  await addAudit(tx, actor, 'passwordChanged', { personId: id }, address);
}

/** Makes the link by which a colleague chooses a password; links made before end. */
export async function makePasswordLink(
  tx: Handle,
  actor: Actor,
  id: string,
  address: string,
): Promise<PasswordLink> {
  const { account } = await findPerson(tx, actor, id);
  await refuseShared(tx, account.id);
  await tx
    .delete(passwordLinks)
    .where(and(eq(passwordLinks.personId, id), isNull(passwordLinks.usedAt)));
  const link = await newPasswordLink(tx, { shopId: actor.shopId, personId: id });
  await addAudit(tx, actor, 'passwordLink', { personId: id }, address);
  return link;
}

/**
 * A lead has no way into somebody's account who works in other shops as well: it would be a way into those.
 * @throws {AppError} 409
 */
async function refuseShared(tx: Handle, accountId: string): Promise<void> {
  const { rows } = await tx.execute<{ elsewhere: boolean }>(
    sql`select keen_works_elsewhere(${accountId}) as elsewhere`,
  );
  if (rows[0]?.elsewhere) throw new AppError(409, 'shared_account', 'sharedAccount');
}
