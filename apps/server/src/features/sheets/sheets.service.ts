import { randomUUID } from 'node:crypto';
import type { StoredSheet, Learned, NewSheets } from '@keen/contract';
import { pooled, turnsLearned } from '@keen/core';
import { and, desc, eq, inArray, max, sql } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { chainSheets, people, specSheets, visits } from '../../db/schema/index.ts';
import { notifyLive } from '../../db/notifyLive.ts';
import { conflict, notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';

/**
 * The specification sheets that hold in the shop, each in its latest revision; retired ones too. One that the chain
 * gives is as the chain has it, unless the shop has its own.
 */
export async function listSheets(db: Handle, { shopId }: Actor): Promise<StoredSheet[]> {
  const own = await db
    .selectDistinctOn([specSheets.sheetId], {
      id: specSheets.sheetId,
      revision: specSheets.revision,
      sheet: specSheets.sheet,
      retired: specSheets.retired,
      followsChain: specSheets.followsChain,
      enteredBy: people.name,
      enteredAt: specSheets.createdAt,
    })
    .from(specSheets)
    .innerJoin(people, eq(people.id, specSheets.personId))
    .where(eq(specSheets.shopId, shopId))
    .orderBy(specSheets.sheetId, desc(specSheets.revision));
  const given = await db
    .selectDistinctOn([chainSheets.sheetId], {
      id: chainSheets.sheetId,
      revision: chainSheets.revision,
      sheet: chainSheets.sheet,
      retired: chainSheets.retired,
      enteredBy: chainSheets.by,
      enteredAt: chainSheets.at,
    })
    .from(chainSheets)
    .orderBy(chainSheets.sheetId, desc(chainSheets.revision));
  const ids = new Set(given.map(({ id }) => id));
  const kept = own
    // Where the chain is gone the shop keeps what it followed.
    .filter(({ id, followsChain }) => !followsChain || !ids.has(id))
    .map(({ followsChain: _, ...row }) => ({
      ...row,
      origin: ids.has(row.id) ? ('instead' as const) : ('shop' as const),
    }));
  const instead = new Set(kept.map(({ id }) => id));
  const ofChain = given
    .filter(({ id }) => !instead.has(id))
    .map((row) => ({ ...row, origin: 'chain' as const }));
  return [...kept, ...ofChain]
    .map((row) => ({ ...row, enteredAt: row.enteredAt.toISOString() }))
    .toSorted((a, b) => a.sheet.name.localeCompare(b.sheet.name));
}

/** Older visits add nothing that these do not say. */
const TURNED_VISITS = 60;

/** What one turn of each adjuster did on the cars of a sheet, over the latest visits that turned any. */
export async function turnsOfSheet(db: Handle, sheetId: string): Promise<Learned[]> {
  const rows = await db
    .select({ draft: visits.draft })
    .from(visits)
    .where(and(eq(visits.sheetId, sheetId), visits.hasTurns))
    .orderBy(desc(visits.arrivedAt))
    .limit(TURNED_VISITS);
  return pooled(rows.flatMap(({ draft }) => turnsLearned(draft)));
}

/**
 * Keeps new revisions, all or none; those that are there already are left as they are.
 * @throws {AppError} 409 where another revision came in between
 */
export async function saveSheets(
  tx: Handle,
  actor: Actor,
  { sheets }: NewSheets,
): Promise<StoredSheet[]> {
  const { shopId, personId } = actor;
  await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${`sheets ${shopId}`}))`);
  const ids = sheets.map(({ revisionId }) => revisionId);
  const known = await tx
    .select({ id: specSheets.id, shopId: specSheets.shopId })
    .from(specSheets)
    .where(inArray(specSheets.id, ids));
  if (known.some((row) => row.shopId !== shopId)) throw conflict('revisionTaken');
  const seen = new Set(known.map(({ id }) => id));
  const latest = new Map((await listSheets(tx, actor)).map(({ id, revision }) => [id, revision]));
  const next = await nextRevisions(
    tx,
    shopId,
    sheets.map(({ id }) => id),
  );
  for (const { id, revisionId, basedOn, sheet, retired } of sheets) {
    if (seen.has(revisionId)) continue;
    if ((latest.get(id) ?? 0) !== basedOn) {
      throw conflict('changedMeanwhile', { name: sheet.name });
    }
    // What the shop had before it followed the chain may have gone further.
    const revision = Math.max(basedOn + 1, next.get(id) ?? 1);
    await tx
      .insert(specSheets)
      .values({ id: revisionId, shopId, sheetId: id, revision, sheet, retired, personId });
    latest.set(id, revision);
    next.set(id, revision + 1);
    seen.add(revisionId);
  }
  await notifyLive(tx, { shopId, kind: 'sheets' });
  return listSheets(tx, actor);
}

/** The lowest number that no revision of a sheet has in the shop; of a sheet that is new there, none. */
async function nextRevisions(
  tx: Handle,
  shopId: string,
  ids: readonly string[],
): Promise<Map<string, number>> {
  const rows = await tx
    .select({ sheetId: specSheets.sheetId, revision: max(specSheets.revision) })
    .from(specSheets)
    .where(and(eq(specSheets.shopId, shopId), inArray(specSheets.sheetId, [...ids])))
    .groupBy(specSheets.sheetId);
  return new Map(rows.map(({ sheetId, revision }) => [sheetId, (revision ?? 0) + 1]));
}

/**
 * Takes the chain's sheet again instead of the shop's own.
 * @throws {AppError} 404 where the chain gives no such sheet
 */
export async function followChain(tx: Handle, actor: Actor, id: string): Promise<StoredSheet[]> {
  const { shopId, personId } = actor;
  await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${`sheets ${shopId}`}))`);
  const [given] = await tx
    .select()
    .from(chainSheets)
    .where(eq(chainSheets.sheetId, id))
    .orderBy(desc(chainSheets.revision))
    .limit(1);
  if (!given) throw notFound('noSheet');
  const next = await nextRevisions(tx, shopId, [id]);
  await tx.insert(specSheets).values({
    id: randomUUID(),
    shopId,
    sheetId: id,
    revision: Math.max(given.revision, next.get(id) ?? 1),
    sheet: given.sheet,
    retired: given.retired,
    followsChain: true,
    personId,
  });
  await notifyLive(tx, { shopId, kind: 'sheets' });
  return listSheets(tx, actor);
}
