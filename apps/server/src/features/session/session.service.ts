import { randomUUID } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import type {
  ChangePassword,
  ConfirmSecondFactor,
  PasswordLinkOwner,
  Preferences,
  RecoveryCodes,
  Role,
  Session,
  Setup,
  SignIn,
  Welcome,
} from '@keen/contract';
import {
  DEFAULT_PREFERENCES,
  preferencesSchema,
  validationIssue,
  welcomeSchema,
} from '@keen/contract';
import { and, eq, sql } from 'drizzle-orm';
import { addAudit } from '../../db/audit.ts';
import { inShop } from '../../db/client.ts';
import type { Database, Handle } from '../../db/client.ts';
import {
  accounts,
  chainLeads,
  chains,
  passwordLinks,
  people,
  shopLogos,
  shops,
} from '../../db/schema/index.ts';
import { settingsOf } from '../../db/shopSettings.ts';
import { AppError, conflict, forbidden, invalid, notFound, unauthenticated } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { joinAccount, NO_SECOND_FACTOR } from '../../people/accounts.ts';
import { endSessions } from '../../people/ownSessions.ts';
import { linkHash } from '../../people/passwordLinks.ts';
import { refuseWeak } from '../../people/passwordRules.ts';
import { checkCode, newRecoveryCodes, recoveryHash } from './secondFactor.ts';
import { writeTry } from './signInLimits.ts';

type AccountRow = typeof accounts.$inferSelect;

/** Any number, the same in every process: only one first shop is set up at a time. */
const SETUP_LOCK = 4310_0002;

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
async function placesOf(db: Pick<Handle, 'execute'>, accountId: string) {
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

/** What the front door shows. */
export async function welcome(db: Database, showsDemo: boolean): Promise<Welcome> {
  const { rows } = await db.execute<{ door: { shops: number; demo: Welcome['demo'] } }>(
    sql`select keen_front_door() as door`,
  );
  const { shops: number, demo } = rows[0]!.door;
  return welcomeSchema.parse({ needsSetup: number === 0, demo: showsDemo ? demo : null });
}

/** Makes the first shop and its lead; refused once there is one. */
export async function setUpShop(db: Database, setup: Setup): Promise<Actor> {
  refuseWeak(setup.password, [setup.name, setup.email, setup.shopName]);
  const passwordHash = await hash(setup.password);
  const [personId, shopId] = [randomUUID(), randomUUID()];
  return inShop(db, shopId, async (tx) => {
    await tx.execute(sql`select pg_advisory_xact_lock(${SETUP_LOCK})`);
    const { rows } = await tx.execute<{ number: number }>(
      sql`select (keen_front_door() ->> 'shops')::int as number`,
    );
    if (rows[0]?.number !== 0) throw conflict('hasShop');
    await tx
      .insert(shops)
      .values({ id: shopId, name: setup.shopName, town: setup.town, isDemo: false });
    const accountId = await joinAccount(tx, { email: setup.email, passwordHash });
    if (accountId === null) throw conflict('emailTaken');
    await tx.insert(people).values({
      id: personId,
      shopId,
      accountId,
      name: setup.name,
      role: 'lead',
      preferences: DEFAULT_PREFERENCES,
    });
    return { accountId, personId, shopId, role: 'lead' };
  });
}

/** The signed-in person, their shop and colleagues. */
export async function currentSession(tx: Handle, actor: Actor): Promise<Session> {
  const [row] = await tx
    .select()
    .from(people)
    .innerJoin(shops, eq(shops.id, people.shopId))
    .innerJoin(accounts, eq(accounts.id, people.accountId))
    .leftJoin(chains, eq(chains.id, shops.chainId))
    .leftJoin(
      chainLeads,
      and(eq(chainLeads.chainId, chains.id), eq(chainLeads.accountId, accounts.id)),
    )
    .where(and(eq(people.id, actor.personId), eq(people.shopId, actor.shopId)));
  if (!row || row.people.suspendedAt) throw unauthenticated();
  const { id, name, role, preferences } = row.people;
  const { passwordHash, totpSecret } = row.accounts;
  const { chains: chain, chain_leads: led } = row;
  const own = row.shops.ownSettings ?? {};
  const settings = settingsOf({
    settings: row.shops.settings,
    own,
    settled: chain?.settled ?? null,
  });
  // A preference added later gets its default.
  const known = preferencesSchema.safeParse({ ...DEFAULT_PREFERENCES, ...preferences });
  return {
    person: { id, name, role },
    shop: {
      id: row.shops.id,
      name: row.shops.name,
      town: row.shops.town,
      isDemo: row.shops.isDemo,
      hasLogo: (await tx.$count(shopLogos, eq(shopLogos.shopId, actor.shopId))) > 0,
      settings,
      chain: chain && {
        id: chain.id,
        name: chain.name,
        isLead: led !== null,
        settled: chain.settled,
        own,
      },
    },
    shops: (await placesOf(tx, actor.accountId)).map((place) => ({
      id: place.shop_id,
      name: place.name,
      town: place.town,
      role: place.role,
    })),
    people: await staff(tx, actor.shopId),
    preferences: known.success ? known.data : DEFAULT_PREFERENCES,
    account: {
      hasPassword: passwordHash !== null,
      hasSecondFactor: totpSecret !== null,
      mustSetUpSecondFactor:
        settings.secondFactorForLeads &&
        role === 'lead' &&
        totpSecret === null &&
        passwordHash !== null,
    },
  };
}

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
 * @returns one's own words, which no password may be: name and e-mail
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

async function withAccount(tx: Handle, personId: string) {
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

async function staff(tx: Handle, shopId: string): Promise<Session['people']> {
  const rows = await tx
    .select()
    .from(people)
    .where(eq(people.shopId, shopId))
    .orderBy(people.role, people.name);
  return rows.map(({ id, name, role, suspendedAt }) => ({
    id,
    name,
    role,
    ...(suspendedAt ? { suspended: true } : {}),
  }));
}
