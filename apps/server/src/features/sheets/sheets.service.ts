import type { KeptSheet, Learned, NewSheets } from '@keen/contract';
import { pooled, turnsLearned } from '@keen/core';
import { and, desc, eq, inArray, sql } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { people, specSheets, visits } from '../../db/schema/index.ts';
import { tellLive } from '../../db/tellLive.ts';
import { conflict } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';

/** The shop's specification sheets, each in its latest revision; retired ones too. */
export async function listSheets(db: Handle, { shopId }: Actor): Promise<KeptSheet[]> {
  const rows = await db
    .selectDistinctOn([specSheets.sheetId], {
      id: specSheets.sheetId,
      revision: specSheets.revision,
      sheet: specSheets.sheet,
      retired: specSheets.retired,
      enteredBy: people.name,
      enteredAt: specSheets.createdAt,
    })
    .from(specSheets)
    .innerJoin(people, eq(people.id, specSheets.personId))
    .where(eq(specSheets.shopId, shopId))
    .orderBy(specSheets.sheetId, desc(specSheets.revision));
  return rows
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
export async function keepSheets(
  tx: Handle,
  actor: Actor,
  { sheets }: NewSheets,
): Promise<KeptSheet[]> {
  const { shopId, personId } = actor;
  await tx.execute(sql`select pg_advisory_xact_lock(hashtext(${`sheets ${shopId}`}))`);
  const ids = sheets.map(({ revisionId }) => revisionId);
  const known = await tx
    .select({ id: specSheets.id, shopId: specSheets.shopId })
    .from(specSheets)
    .where(inArray(specSheets.id, ids));
  if (known.some((row) => row.shopId !== shopId)) throw conflict('revisionTaken');
  const seen = new Set(known.map(({ id }) => id));
  const latest = new Map(
    (
      await tx
        .select({
          sheetId: specSheets.sheetId,
          revision: sql<number>`max(${specSheets.revision})`,
        })
        .from(specSheets)
        .where(
          and(
            eq(specSheets.shopId, shopId),
            inArray(
              specSheets.sheetId,
              sheets.map(({ id }) => id),
            ),
          ),
        )
        .groupBy(specSheets.sheetId)
    ).map(({ sheetId, revision }) => [sheetId, revision]),
  );
  for (const { id, revisionId, basedOn, sheet, retired } of sheets) {
    if (seen.has(revisionId)) continue;
    if ((latest.get(id) ?? 0) !== basedOn) {
      throw conflict('changedMeanwhile', { name: sheet.name });
    }
    const revision = basedOn + 1;
    await tx
      .insert(specSheets)
      .values({ id: revisionId, shopId, sheetId: id, revision, sheet, retired, personId });
    latest.set(id, revision);
    seen.add(revisionId);
  }
  await tellLive(tx, { shopId, kind: 'sheets' });
  return listSheets(tx, actor);
}
