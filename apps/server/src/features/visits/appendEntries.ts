import type { EntriesKept, Entry } from '@keen/contract';
import { rightForPath, roleMay } from '@keen/contract';
import { foldEntries } from '@keen/core';
import { and, asc, eq, inArray } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { entryRecord } from '../../db/entryRecord.ts';
import { entries, visits } from '../../db/schema/index.ts';
import { tellLive } from '../../db/tellLive.ts';
import { AppError, conflict, notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';

/** Appends entries to a visit; those it already has are left as they are. */
export function appendEntries(
  tx: Handle,
  actor: Actor,
  id: string,
  list: readonly Entry[],
): Promise<EntriesKept> {
  refuseUnallowed(actor, list);
  return append(tx, actor, id, list);
}

/** Some fields are the technician's. @throws {AppError} 403 naming the entries that are not this person's */
export function refuseUnallowed({ role }: Actor, list: readonly Entry[]): void {
  const refusals = list.flatMap(({ path }, index) => {
    const right = rightForPath(path);
    if (right === null || roleMay(role, right)) return [];
    return [{ path: `entries.${index}.path`, expected: 'a field that your role may enter' }];
  });
  if (refusals.length > 0) {
    throw new AppError(403, 'forbidden', 'Only a technician or the lead sets angles', { refusals });
  }
}

/** The same for whoever has been allowed to already. */
export async function append(
  tx: Handle,
  actor: Actor,
  visitId: string,
  list: readonly Entry[],
): Promise<EntriesKept> {
  const [visit] = await tx
    .select()
    .from(visits)
    .where(and(eq(visits.id, visitId), eq(visits.shopId, actor.shopId)))
    .for('update');
  if (!visit) throw notFound('visit');
  if (list.length === 0) return { entries: [], seq: visit.seq };
  const ids = list.map((entry) => entry.id.toLowerCase());
  const known = await tx
    .select({ id: entries.id, visitId: entries.visitId })
    .from(entries)
    .where(inArray(entries.id, ids));
  if (known.some((row) => row.visitId !== visitId)) throw conflict('An entry id is taken');
  const seen = new Set(known.map((row) => row.id));
  // Ids are compared as the database writes them, in lower case.
  const fresh = list
    .map((entry) => ({ ...entry, id: entry.id.toLowerCase() }))
    .filter((entry) => !seen.has(entry.id) && seen.add(entry.id));
  if (fresh.length > 0) {
    const added = await tx
      .insert(entries)
      .values(
        fresh.map((entry, index) => ({
          id: entry.id,
          shopId: actor.shopId,
          visitId,
          seq: visit.seq + index + 1,
          path: entry.path,
          value: entry.value,
          personId: actor.personId,
          at: new Date(entry.at),
          over: entry.over ?? null,
        })),
      )
      .onConflictDoNothing()
      .returning({ id: entries.id });
    // An id of another shop's row, which is not seen from here.
    if (added.length < fresh.length) throw conflict('An entry id is taken');
    const seq = visit.seq + fresh.length;
    await tx
      .update(visits)
      .set({ draft: foldEntries(visit.draft, fresh), seq })
      .where(eq(visits.id, visitId));
    await tellLive(tx, { shopId: actor.shopId, visitId, after: visit.seq });
  }
  const stored = await tx
    .select()
    .from(entries)
    .where(and(eq(entries.visitId, visitId), inArray(entries.id, ids)))
    .orderBy(asc(entries.seq));
  return { entries: stored.map(entryRecord), seq: visit.seq + fresh.length };
}
