import type { ArchiveVisit } from '@keen/contract';
import { angleRows, draftToCase, estimateRows, readingRows } from '@keen/core';
import { and, asc, eq, gt, inArray, sql } from 'drizzle-orm';
import type { AnyPgColumn } from 'drizzle-orm/pg-core';
import Papa from 'papaparse';
import type { Handle } from '../db/client.ts';
import { decisions, entries, photos, sheetLinks, vehicles, visits } from '../db/schema/index.ts';

/** Puts a file into the archive; pictures are packed already. */
export type AddFile = (name: string, bytes: Buffer, isPacked?: boolean) => Promise<void>;

/** A document as a file that people can read. */
export const jsonOf = (value: unknown): Buffer =>
  Buffer.from(`${JSON.stringify(value, null, 1)}\n`);

/** Visits read in one go: a handful of queries for all of them. */
const VISITS_AT_ONCE = 100;

/** Some visits with all that belongs to them but their pictures. */
type SomeVisits = NonNullable<Awaited<ReturnType<typeof readSome>>>;

/** All visits of a shop by their numbers, some at a time; the next are read while these are written. */
export async function* visitsInOrder(tx: Handle, shopId: string): AsyncGenerator<SomeVisits> {
  let next = readSome(tx, shopId, -1);
  for (;;) {
    const some = await next;
    if (!some) return;
    next = readSome(tx, shopId, some.rows.at(-1)!.visits.number);
    // Should the writing fail first, nobody asks for these any more.
    next.catch(() => undefined);
    yield some;
  }
}

async function readSome(tx: Handle, shopId: string, after: number) {
  const rows = await tx
    .select()
    .from(visits)
    .innerJoin(vehicles, eq(vehicles.id, visits.vehicleId))
    .where(and(eq(visits.shopId, shopId), gt(visits.number, after)))
    .orderBy(asc(visits.number))
    .limit(VISITS_AT_ONCE);
  if (rows.length === 0) return null;
  const ids = rows.map(({ visits: { id } }) => id);
  const entriesOf = await entryTexts(tx, ids);
  const decided = await tx
    .select()
    .from(decisions)
    .where(inArray(decisions.visitId, ids))
    .orderBy(asc(decisions.createdAt));
  const linked = await tx
    .select()
    .from(sheetLinks)
    .where(inArray(sheetLinks.visitId, ids))
    .orderBy(asc(sheetLinks.createdAt));
  const withPhotos = await tx
    .selectDistinct({ visitId: photos.visitId })
    .from(photos)
    .where(inArray(photos.visitId, ids));
  return {
    rows,
    entriesOf,
    decisionsOf: byVisit(decided),
    linksOf: byVisit(linked),
    pictured: new Set(withPhotos.map(({ visitId }) => visitId)),
  };
}

/** A decision as an archive has it. */
export function archivedDecision(one: typeof decisions.$inferSelect) {
  const { id, action, advised, replace, answer, reason, diagnosis, forecast, entrySeq } = one;
  return {
    id,
    action,
    advised,
    replace,
    answer,
    reason,
    diagnosis,
    forecast,
    entrySeq,
    personId: one.personId,
    at: one.createdAt.toISOString(),
  };
}

/** Adds some visits, each as a folder. */
export async function addVisits(
  tx: Handle,
  { rows, entriesOf, decisionsOf, linksOf, pictured }: SomeVisits,
  add: AddFile,
): Promise<void> {
  for (const { visits: visit, vehicles: car } of rows) {
    // One visit's pictures at a time: they are the large part.
    const pictures = pictured.has(visit.id)
      ? await tx
          .select()
          .from(photos)
          .where(eq(photos.visitId, visit.id))
          .orderBy(asc(photos.createdAt))
      : [];
    const folder = `visits/${String(visit.number).padStart(5, '0')}-${car.plateKey.slice(0, 40)}`;
    const archived: Omit<ArchiveVisit, 'entries'> = {
      id: visit.id,
      number: visit.number,
      carId: car.id,
      arrivedAt: visit.arrivedAt.toISOString(),
      closedAt: visit.closedAt?.toISOString() ?? null,
      decisions: (decisionsOf.get(visit.id) ?? []).map(archivedDecision),
      photos: pictures.map((one) => ({
        id: one.id,
        file: `photos/${one.id}.${endingOf(one.type)}`,
        subject: one.subject,
        personId: one.personId,
        at: one.createdAt.toISOString(),
      })),
      links: (linksOf.get(visit.id) ?? []).map((one) => ({
        id: one.id,
        token: one.token,
        paper: one.paper,
        endsAt: one.endsAt.toISOString(),
        opened: one.opened,
        personId: one.personId,
        at: one.createdAt.toISOString(),
      })),
    };
    const entryText = entriesOf.get(visit.id) ?? '[]';
    const rest = JSON.stringify(archived);
    await add(
      `${folder}/visit.json`,
      Buffer.from(`${rest.slice(0, -1)},"entries":${entryText}}\n`),
    );
    const label = [car.label, car.plate].filter(Boolean).join(', ');
    await add(`${folder}/case.keen.json`, jsonOf(draftToCase(visit.draft, label).file));
    const tables = { readings: readingRows, angles: angleRows, estimate: estimateRows };
    for (const [name, rowsOf] of Object.entries(tables)) {
      const table = rowsOf(visit.draft);
      if (table.length > 1) {
        await add(`${folder}/${name}.csv`, Buffer.from(`${Papa.unparse(table)}\r\n`));
      }
    }
    for (const [i, one] of pictures.entries()) {
      await add(`${folder}/${archived.photos[i]!.file}`, one.picture, true);
    }
  }
}

/**
 * The entries of each visit as the JSON of the archive, made by the database: they are most of what a shop
 * has, and would be taken apart here only to be put together again.
 */
async function entryTexts(tx: Handle, ids: readonly string[]): Promise<Map<string, string>> {
  const moment = (column: AnyPgColumn) =>
    sql`to_char(${column} at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')`;
  const { rows } = await tx.execute<{ visit_id: string; list: string }>(sql`
    select visit_id, '[' || string_agg(
      (jsonb_build_object(
        'id', id, 'path', path, 'value', value, 'at', ${moment(entries.at)}, 'seq', seq,
        'personId', person_id, 'savedAt', ${moment(entries.createdAt)}
      ) || case when over is null then '{}' else jsonb_build_object('over', over) end)::text,
      E',\\n' order by seq
    ) || ']' as list
    from ${entries} where visit_id in ${[...ids]} group by visit_id
  `);
  return new Map(rows.map(({ visit_id: id, list }) => [id, list]));
}

function byVisit<Row extends { visitId: string }>(rows: readonly Row[]): Map<string, Row[]> {
  const map = new Map<string, Row[]>();
  for (const row of rows) {
    const list = map.get(row.visitId);
    if (list) list.push(row);
    else map.set(row.visitId, [row]);
  }
  return map;
}

/** The end of a picture's name. */
export function endingOf(type: 'image/jpeg' | 'image/png'): string {
  return type === 'image/png' ? 'png' : 'jpg';
}
