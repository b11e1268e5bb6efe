import type { Visit } from '@keen/contract';
import { and, eq } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { visits } from '../../db/schema/index.ts';
import { notifyLive } from '../../db/notifyLive.ts';
import { notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { oneVisit } from './readVisits.ts';

/** Closes a visit, or opens it again. */
export async function setClosed(
  tx: Handle,
  actor: Actor,
  id: string,
  closed: boolean,
): Promise<Visit> {
  const rows = await tx
    .update(visits)
    .set({ closedAt: closed ? new Date() : null })
    .where(and(eq(visits.id, id), eq(visits.shopId, actor.shopId)))
    .returning({ id: visits.id });
  if (rows.length === 0) throw notFound('noVisit');
  await notifyLive(tx, { shopId: actor.shopId, visitId: id });
  return oneVisit(tx, actor, id);
}
