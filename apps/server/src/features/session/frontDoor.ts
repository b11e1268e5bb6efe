import { randomUUID } from 'node:crypto';
import { hash } from '@node-rs/argon2';
import type { Setup, Welcome } from '@keen/contract';
import { DEFAULT_PREFERENCES, welcomeSchema } from '@keen/contract';
import { sql } from 'drizzle-orm';
import { inShop } from '../../db/client.ts';
import type { Database } from '../../db/client.ts';
import { people, shops } from '../../db/schema/index.ts';
import { conflict } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { joinAccount } from '../../people/accounts.ts';
import { refuseWeak } from '../../people/passwordRules.ts';

/** Any number, the same in every process: only one first shop is set up at a time. */
const SETUP_LOCK = 4310_0002;

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
