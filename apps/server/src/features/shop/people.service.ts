import { randomBytes } from 'node:crypto';
import { hash } from '@node-rs/argon2';
import type { ChangePerson, NewPerson, PasswordLink, StaffMember } from '@keen/contract';
import { DEFAULT_PREFERENCES } from '@keen/contract';
import { and, eq, isNull, ne, sql } from 'drizzle-orm';
import { addAudit } from '../../db/audit.ts';
import type { Handle } from '../../db/client.ts';
import { passwordLinks, people } from '../../db/schema/index.ts';
import { shopSettings } from '../../db/shopSettings.ts';
import { tellLive } from '../../db/tellLive.ts';
import { AppError, conflict, notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { changeSessionRole, endSessions } from '../../people/ownSessions.ts';
import { linkHash } from '../../people/passwordLinks.ts';
import { refuseWeak } from '../../people/passwordRules.ts';

const LINK_DAYS = 7;
const DAY_MS = 86_400_000;
const TOKEN_BYTES = 24;

/** The shop's people as its lead sees them. */
export async function listStaff(tx: Handle, { shopId }: Actor): Promise<StaffMember[]> {
  const rows = await tx.select().from(people).where(eq(people.shopId, shopId)).orderBy(people.name);
  return rows.map(memberOf);
}

function memberOf(row: typeof people.$inferSelect): StaffMember {
  const { id, name, email, role } = row;
  return {
    id,
    name,
    email,
    role,
    suspended: row.suspendedAt !== null,
    hasPassword: row.passwordHash !== null,
    hasSecondFactor: row.totpSecret !== null,
  };
}

/**
 * Lets a colleague in; without a password they choose one by a link. Asking twice with the same id adds
 * one person.
 * @throws {AppError} 409 when the e-mail is taken, 400 for a password that is easily guessed
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
  const added = await tx
    .insert(people)
    .values({
      id,
      shopId,
      name,
      email: order.email.toLowerCase(),
      role,
      passwordHash: password === undefined ? null : await hash(password),
      preferences: { ...DEFAULT_PREFERENCES, units },
    })
    .onConflictDoNothing()
    .returning();
  if (added[0]) {
    await addAudit(tx, actor, 'personAdded', { personId: id, role }, address);
    await tellLive(tx, { shopId, kind: 'settings' });
    return memberOf(added[0]);
  }
  const [known] = await tx
    .select()
    .from(people)
    .where(and(eq(people.id, id), eq(people.shopId, shopId)));
  if (!known) throw conflict('emailTaken');
  return memberOf(known);
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
  const [before] = await tx
    .select()
    .from(people)
    .where(and(eq(people.id, id), eq(people.shopId, shopId)));
  if (!before) throw notFound('noPerson');
  const { name, role, suspended, hasSecondFactor } = change;
  const staysLead = (role ?? before.role) === 'lead' && !(suspended ?? before.suspendedAt !== null);
  if (before.role === 'lead' && !staysLead && !(await hasOtherLead(tx, shopId, id))) {
    throw new AppError(409, 'last_lead', 'lastLead');
  }
  const [row] = await tx
    .update(people)
    .set({
      id,
      ...(name === undefined ? {} : { name }),
      ...(role === undefined ? {} : { role }),
      ...(suspended === undefined ? {} : { suspendedAt: suspended ? new Date() : null }),
      ...(hasSecondFactor === false
        ? { totpSecret: null, totpLastStep: null, recoveryHashes: null }
        : {}),
    })
    .where(eq(people.id, id))
    .returning();
  if (!row) throw notFound('noPerson');
  if (suspended || hasSecondFactor === false) await endSessions(tx, id);
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
  await tellLive(tx, { shopId, kind: 'settings' });
  return memberOf(row);
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
  const person = await findPerson(tx, actor, id);
  refuseWeak(password, [person.name, person.email]);
  await tx
    .update(people)
    .set({ passwordHash: await hash(password) })
    .where(eq(people.id, id));
  await endSessions(tx, id);
  await addAudit(tx, actor, 'passwordChanged', { personId: id }, address);
}

/** Makes the link by which a colleague chooses a password; links made before end. */
export async function makePasswordLink(
  tx: Handle,
  actor: Actor,
  id: string,
  address: string,
): Promise<PasswordLink> {
  await findPerson(tx, actor, id);
  const token = randomBytes(TOKEN_BYTES).toString('base64url');
  const endsAt = new Date(Date.now() + LINK_DAYS * DAY_MS);
  await tx
    .delete(passwordLinks)
    .where(and(eq(passwordLinks.personId, id), isNull(passwordLinks.usedAt)));
  await tx
    .insert(passwordLinks)
    .values({ hash: linkHash(token), shopId: actor.shopId, personId: id, endsAt });
  await addAudit(tx, actor, 'passwordLink', { personId: id }, address);
  return { token, endsAt: endsAt.toISOString() };
}

async function findPerson(tx: Handle, { shopId }: Actor, id: string) {
  const [person] = await tx
    .select()
    .from(people)
    .where(and(eq(people.id, id), eq(people.shopId, shopId)));
  if (!person) throw notFound('noPerson');
  return person;
}
