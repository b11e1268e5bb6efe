import { hash } from '@node-rs/argon2';
import type { NewPerson, Person } from '@keen/contract';
import { DEFAULT_PREFERENCES } from '@keen/contract';
import { and, eq } from 'drizzle-orm';
import type { Database } from '../../db/client.ts';
import { people } from '../../db/schema/index.ts';
import { shopSettings } from '../../db/shopSettings.ts';
import { tellLive } from '../../db/tellLive.ts';
import { conflict, forbidden, notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';

/**
 * Lets a colleague in. Asking twice with the same id adds one person.
 * @throws {AppError} 403 for anybody but the lead, 409 when the e-mail is taken
 */
export async function addPerson(db: Database, actor: Actor, order: NewPerson): Promise<Person> {
  await demandLead(db, actor, 'Only the lead of the shop adds colleagues');
  const { id, name, role } = order;
  const passwordHash = await hash(order.password);
  const { units } = await shopSettings(db, actor.shopId);
  return db.transaction(async (tx) => {
    const added = await tx
      .insert(people)
      .values({
        id,
        shopId: actor.shopId,
        name,
        email: order.email.toLowerCase(),
        role,
        passwordHash,
        preferences: { ...DEFAULT_PREFERENCES, units },
      })
      .onConflictDoNothing()
      .returning({ id: people.id });
    if (added.length === 0) {
      const [known] = await tx
        .select()
        .from(people)
        .where(and(eq(people.id, id), eq(people.shopId, actor.shopId)));
      if (!known) throw conflict('Somebody signs in with this e-mail already');
      return { id, name: known.name, role: known.role };
    }
    await tellLive(tx, { shopId: actor.shopId, kind: 'settings' });
    return { id, name, role };
  });
}

/**
 * Gives a colleague a new password; one who came in with an archive has none until then.
 * @throws {AppError} 403 for anybody but the lead, 404 for a stranger
 */
export async function givePassword(
  db: Database,
  actor: Actor,
  id: string,
  password: string,
): Promise<void> {
  await demandLead(db, actor, 'Only the lead of the shop gives passwords');
  const changed = await db
    .update(people)
    .set({ passwordHash: await hash(password) })
    .where(and(eq(people.id, id), eq(people.shopId, actor.shopId)))
    .returning({ id: people.id });
  if (changed.length === 0) throw notFound('person');
}

async function demandLead(db: Database, actor: Actor, otherwise: string): Promise<void> {
  const [asker] = await db
    .select({ role: people.role })
    .from(people)
    .where(and(eq(people.id, actor.personId), eq(people.shopId, actor.shopId)));
  if (asker?.role !== 'lead') throw forbidden(otherwise);
}
