import { hash, verify } from '@node-rs/argon2';
import type {
  ChangePassword,
  ConfirmSecondFactor,
  Preferences,
  RecoveryCodes,
} from '@keen/contract';
import { validationIssue } from '@keen/contract';
import { and, eq } from 'drizzle-orm';
import { addAudit } from '../../db/audit.ts';
import type { Handle } from '../../db/client.ts';
import { accounts, people } from '../../db/schema/index.ts';
import { invalid } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { NO_SECOND_FACTOR, withAccount } from '../../people/accounts.ts';
import { endSessions } from '../../people/ownSessions.ts';
import { refuseWeak } from '../../people/passwordRules.ts';
import { checkCode, newRecoveryCodes } from './secondFactor.ts';

export async function savePreferences(
  tx: Handle,
  actor: Actor,
  preferences: Preferences,
): Promise<Preferences> {
  await tx
    .update(people)
    .set({ preferences })
    .where(and(eq(people.id, actor.personId), eq(people.shopId, actor.shopId)));
  return preferences;
}

/**
 * Changes one's own password and ends one's other sessions.
 * @param sessionId - the session that goes on
 * @throws {AppError} 400 when the old one is wrong or the new one is easily guessed
 */
export async function changePassword(
  tx: Handle,
  actor: Actor,
  order: ChangePassword,
  sessionId: string,
  address: string,
): Promise<void> {
  const { accountId } = actor;
  const own = await demandPassword(tx, actor, order.old, 'old');
  refuseWeak(order.password, own);
  await tx
    .update(accounts)
    .set({ passwordHash: await hash(order.password) })
    .where(eq(accounts.id, accountId));
  await endSessions(tx, { accountId }, sessionId);
  await addAudit(tx, actor, 'passwordChanged', { personId: actor.personId }, address);
}

/**
 * @returns one's own words, which no password may be: name and email
 * @throws {AppError} 400 at the field where one's own password was asked for and is wrong
 */
async function demandPassword(
  tx: Handle,
  { personId }: Actor,
  password: string,
  field: string,
): Promise<string[]> {
  const person = await withAccount(tx, personId);
  if (!person?.passwordHash || !(await verify(person.passwordHash, password))) {
    throw invalid([validationIssue(field, 'currentPassword')], 'passwordWrong');
  }
  return [person.name, person.email];
}

/** Turns the second factor on, once a first code has shown that it is set up. */
export async function confirmSecondFactor(
  tx: Handle,
  actor: Actor,
  { secret, code }: ConfirmSecondFactor,
  address: string,
): Promise<RecoveryCodes> {
  const step = checkCode(secret, code, null);
  if (step === null) throw invalid([validationIssue('code', 'currentCode')]);
  const { codes, hashes } = newRecoveryCodes();
  await tx
    .update(accounts)
    .set({ totpSecret: secret, totpLastStep: String(step), recoveryHashes: hashes })
    .where(eq(accounts.id, actor.accountId));
  await addAudit(tx, actor, 'secondFactor', { on: 1 }, address);
  return { codes };
}

/** Turns one's own second factor off. */
export async function dropSecondFactor(
  tx: Handle,
  actor: Actor,
  password: string,
  address: string,
): Promise<void> {
  await demandPassword(tx, actor, password, 'password');
  await tx.update(accounts).set(NO_SECOND_FACTOR).where(eq(accounts.id, actor.accountId));
  await addAudit(tx, actor, 'secondFactor', { on: 0 }, address);
}
