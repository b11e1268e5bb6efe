import { randomUUID } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import type { Preferences, Session, Setup, SignIn, Welcome } from '@keen/contract';
import { DEFAULT_PREFERENCES, preferencesSchema } from '@keen/contract';
import { and, eq, gt, sql } from 'drizzle-orm';
import type { Database } from '../../db/client.ts';
import { people, shopLogos, shops, signInTries } from '../../db/schema/index.ts';
import { settingsOf } from '../../db/shopSettings.ts';
import { AppError, conflict, forbidden, unauthenticated } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';

const MINUTE_MS = 60_000;
/** Wrong tries are counted over this long. */
const TRY_WINDOW_MS = 15 * MINUTE_MS;
const FREE_TRIES = 5;

const WRONG = 'This email and password do not belong together';

/** Checks email and password; wrong tries are slowed down for that email. */
export async function signIn(db: Database, { email, password }: SignIn): Promise<Actor> {
  const key = email.toLowerCase();
  await refuseWhenTooMany(db, key);
  const [person] = await db.select().from(people).where(eq(people.email, key));
  // The work is done for unknown names too, so that the time taken tells nothing.
  const ok = await verify(person?.passwordHash ?? (await unknownHash()), password);
  if (!person?.passwordHash || !ok) {
    await db.insert(signInTries).values({ email: key });
    throw new AppError(401, 'wrong_password', WRONG);
  }
  await db.delete(signInTries).where(eq(signInTries.email, key));
  return { personId: person.id, shopId: person.shopId };
}

async function refuseWhenTooMany(db: Database, email: string): Promise<void> {
  const since = new Date(Date.now() - TRY_WINDOW_MS);
  const tries = await db.$count(
    signInTries,
    and(eq(signInTries.email, email), gt(signInTries.at, since)),
  );
  if (tries >= FREE_TRIES) {
    throw new AppError(429, 'too_many_tries', 'Too many wrong tries; wait a quarter of an hour');
  }
}

let unknown: Promise<string> | undefined;
function unknownHash(): Promise<string> {
  unknown ??= hash(randomUUID());
  return unknown;
}

/** Signs in as made-up staff, which only a demo shop has. */
export async function signInDemo(db: Database, personId: string): Promise<Actor> {
  const [row] = await db
    .select({ shopId: people.shopId, isDemo: shops.isDemo })
    .from(people)
    .innerJoin(shops, eq(shops.id, people.shopId))
    .where(eq(people.id, personId));
  if (!row?.isDemo) throw forbidden('One-press sign-in is for the demo shop only');
  return { personId, shopId: row.shopId };
}

/** What the front door shows. */
export async function welcome(db: Database): Promise<Welcome> {
  const all = await db.select().from(shops);
  const demo = all.find((shop) => shop.isDemo);
  return {
    needsSetup: all.length === 0,
    demo: demo ? { shopName: demo.name, people: await staff(db, demo.id) } : null,
  };
}

/** Makes the first shop and its lead; refused once there is one. */
export async function setUpShop(db: Database, setup: Setup): Promise<Actor> {
  const passwordHash = await hash(setup.password);
  return db.transaction(async (tx) => {
    // One at a time: two first starts in two browsers must not make two shops.
    await tx.execute(sql`lock table shops in exclusive mode`);
    if ((await tx.$count(shops)) > 0) throw conflict('This installation already has its shop');
    const actor = { personId: randomUUID(), shopId: randomUUID() };
    await tx
      .insert(shops)
      .values({ id: actor.shopId, name: setup.shopName, town: setup.town, isDemo: false });
    await tx.insert(people).values({
      id: actor.personId,
      shopId: actor.shopId,
      name: setup.name,
      email: setup.email.toLowerCase(),
      role: 'lead',
      passwordHash,
      preferences: DEFAULT_PREFERENCES,
    });
    return actor;
  });
}

/** The signed-in person, their shop and colleagues. */
export async function currentSession(db: Database, actor: Actor): Promise<Session> {
  const [row] = await db
    .select()
    .from(people)
    .innerJoin(shops, eq(shops.id, people.shopId))
    .where(and(eq(people.id, actor.personId), eq(people.shopId, actor.shopId)));
  if (!row) throw unauthenticated();
  const { id, name, role, preferences } = row.people;
  // A preference added later gets its default.
  const known = preferencesSchema.safeParse({ ...DEFAULT_PREFERENCES, ...preferences });
  return {
    person: { id, name, role },
    shop: {
      id: row.shops.id,
      name: row.shops.name,
      town: row.shops.town,
      isDemo: row.shops.isDemo,
      hasLogo: (await db.$count(shopLogos, eq(shopLogos.shopId, actor.shopId))) > 0,
      settings: settingsOf(row.shops),
    },
    people: await staff(db, actor.shopId),
    preferences: known.success ? known.data : DEFAULT_PREFERENCES,
  };
}

export async function keepPreferences(
  db: Database,
  actor: Actor,
  preferences: Preferences,
): Promise<Preferences> {
  await db
    .update(people)
    .set({ preferences })
    .where(and(eq(people.id, actor.personId), eq(people.shopId, actor.shopId)));
  return preferences;
}

function staff(db: Database, shopId: string) {
  return db
    .select({ id: people.id, name: people.name, role: people.role })
    .from(people)
    .where(eq(people.shopId, shopId))
    .orderBy(people.role, people.name);
}
