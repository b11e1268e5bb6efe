import { and, count, eq, gt, lt, sql } from 'drizzle-orm';
import type { Database } from '../../db/client.ts';
import { inShop } from '../../db/client.ts';
import { auditLog, signInTries } from '../../db/schema/index.ts';
import { AppError } from '../../errors.ts';

const MINUTE_MS = 60_000;
/** Wrong tries are counted over this long. */
const WINDOW_MS = 15 * MINUTE_MS;
/** For one name from one address. */
const MOST_FOR_PAIR = 5;
/** From one address, whatever the name: a shop's tablets share one. */
const MOST_FROM_ADDRESS = 60;
/** For one name from anywhere; does not count where its owner has signed in before. */
const MOST_FOR_NAME = 50;
const KNOWN_ADDRESS_DAYS = 90;
const DAY_MS = 86_400_000;

/** A try that is written down; it stays until it turns out right. */
export interface WrittenTry {
  /** Takes the wrong tries of this name from this address out again. */
  succeeded(): Promise<void>;
}

/**
 * Writes a try down before anything is checked, so that many at once cannot slip by, and refuses it when
 * there were too many. A refused try does not count, so nobody is kept out for longer by trying on; and
 * nobody can keep a colleague out, since tries from elsewhere do not count where that colleague has
 * signed in before.
 * @param owner - whose name it is, where there is such a person
 * @throws {AppError} 429
 */
export async function writeTry(
  db: Database,
  email: string,
  address: string,
  owner: { id: string; shopId: string } | null,
): Promise<WrittenTry> {
  const since = new Date(Date.now() - WINDOW_MS);
  await db.delete(signInTries).where(lt(signInTries.at, since));
  const [written] = await db
    .insert(signInTries)
    .values({ email, address })
    .returning({ id: signInTries.id });
  const [tries] = await db
    .select({
      forPair: count(
        sql`case when ${signInTries.email} = ${email} and ${signInTries.address} = ${address} then 1 end`,
      ),
      forName: count(sql`case when ${signInTries.email} = ${email} then 1 end`),
      fromAddress: count(sql`case when ${signInTries.address} = ${address} then 1 end`),
    })
    .from(signInTries)
    .where(
      and(
        gt(signInTries.at, since),
        sql`(${signInTries.email} = ${email} or ${signInTries.address} = ${address})`,
      ),
    );
  const { forPair, forName, fromAddress } = tries ?? { forPair: 0, forName: 0, fromAddress: 0 };
  const isTooMany =
    forPair > MOST_FOR_PAIR ||
    fromAddress > MOST_FROM_ADDRESS ||
    (forName > MOST_FOR_NAME && !(owner && (await isKnownAddress(db, owner, address))));
  if (isTooMany) {
    if (written) await db.delete(signInTries).where(eq(signInTries.id, written.id));
    throw new AppError(429, 'too_many_tries', 'tooManyTries', {
      retryAfter: WINDOW_MS / 1000,
    });
  }
  return {
    async succeeded() {
      await db
        .delete(signInTries)
        .where(and(eq(signInTries.email, email), eq(signInTries.address, address)));
    },
  };
}

function isKnownAddress(
  db: Database,
  { id, shopId }: { id: string; shopId: string },
  address: string,
): Promise<boolean> {
  return inShop(db, shopId, async (tx) => {
    const [row] = await tx
      .select({ id: auditLog.id })
      .from(auditLog)
      .where(
        and(
          eq(auditLog.shopId, shopId),
          eq(auditLog.personId, id),
          eq(auditLog.kind, 'signIn'),
          eq(auditLog.address, address),
          gt(auditLog.at, new Date(Date.now() - KNOWN_ADDRESS_DAYS * DAY_MS)),
        ),
      )
      .limit(1);
    return row !== undefined;
  });
}
