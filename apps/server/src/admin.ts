import { randomBytes } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { readConfig } from './config.ts';
import { addAudit } from './db/audit.ts';
import { connect, inShop } from './db/client.ts';
import type { Database } from './db/client.ts';
import { migrateDatabase } from './db/migrate.ts';
import { accounts, passwordLinks, people, shops } from './db/schema/index.ts';
import { NO_SECOND_FACTOR } from './people/accounts.ts';
import { endSessions } from './people/ownSessions.ts';
import { linkHash } from './people/passwordLinks.ts';

/**
 * For whoever runs the server, at its own terminal: who may sign in, and a way back in for a lead who is
 * locked out. Runs as the owner of the tables.
 */
const LINK_DAYS = 1;
const DAY_MS = 86_400_000;
const TOKEN_BYTES = 24;

async function main(): Promise<void> {
  const config = readConfig(process.env);
  const ownerUrl = config.DATABASE_OWNER_URL ?? config.DATABASE_URL;
  await migrateDatabase(ownerUrl, new URL(config.DATABASE_URL).username);
  const { pool, db } = connect(ownerUrl);
  const [command, email = '', shopName] = process.argv.slice(2);
  try {
    if (command === 'people') await listPeople(db);
    else if (command === 'password-link')
      await printLink(db, { email, shopName, makesLead: false });
    else if (command === 'make-lead') await printLink(db, { email, shopName, makesLead: true });
    else throw new Error(`there is no command ${command ?? ''}`);
  } finally {
    await pool.end();
  }
}

async function listPeople(db: Database): Promise<void> {
  const rows = await db
    .select()
    .from(people)
    .innerJoin(shops, eq(shops.id, people.shopId))
    .innerJoin(accounts, eq(accounts.id, people.accountId))
    .orderBy(shops.name, people.name);
  for (const { people: one, shops: shop, accounts: account } of rows) {
    const state = [
      one.role,
      one.suspendedAt && 'suspended',
      account.passwordHash === null && 'no password',
      account.totpSecret !== null && 'second factor',
    ];
    process.stdout.write(
      `${shop.name}: ${one.name} <${account.email}> (${state.filter(Boolean).join(', ')})\n`,
    );
  }
}

interface LinkOrder {
  email: string;
  /** Of which to be lead; needed where somebody works in several. */
  shopName: string | undefined;
  makesLead: boolean;
}

async function printLink(db: Database, order: LinkOrder): Promise<void> {
  const { id, shopId, accountId, name } = await personOf(db, order);
  const { makesLead } = order;
  const token = randomBytes(TOKEN_BYTES).toString('base64url');
  await inShop(db, shopId, async (tx) => {
    if (makesLead) {
      await tx.update(people).set({ role: 'lead', suspendedAt: null }).where(eq(people.id, id));
      await tx.update(accounts).set(NO_SECOND_FACTOR).where(eq(accounts.id, accountId));
      await endSessions(tx, { accountId });
    }
    await tx.insert(passwordLinks).values({
      hash: linkHash(token),
      shopId,
      personId: id,
      endsAt: new Date(Date.now() + LINK_DAYS * DAY_MS),
    });
    // Nobody of the shop did this: whoever runs the server did.
    const kind = makesLead ? 'personChanged' : 'passwordLink';
    await addAudit(tx, { shopId, personId: null }, kind, {
      personId: id,
      ...(makesLead ? { role: 'lead' } : {}),
    });
  });
  const url = new URL(`/password/${token}`, process.env.KEEN_URL ?? 'http://127.0.0.1:4310');
  process.stdout.write(
    `${makesLead ? `${name} is lead. ` : ''}Good once, for a day:\n${url.href}\n`,
  );
}

async function personOf(db: Database, { email, shopName, makesLead }: LinkOrder) {
  const rows = await db
    .select({ person: people, shop: shops })
    .from(people)
    .innerJoin(accounts, eq(accounts.id, people.accountId))
    .innerJoin(shops, eq(shops.id, people.shopId))
    .where(eq(accounts.email, email.toLowerCase()));
  const names = rows.map(({ shop }) => shop.name);
  if (rows.length === 0) throw new Error(`nobody signs in with ${email}`);
  const isMeant = (name: string) => !makesLead || shopName === undefined || shopName === name;
  const meant = rows.filter(({ shop }) => isMeant(shop.name));
  // A link is for the account, wherever its owner works; a lead is lead of one shop.
  if (makesLead && meant.length !== 1) {
    throw new Error(`${email} works at ${names.join(', ')}: name one of these after the email`);
  }
  return meant[0]!.person;
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
});
