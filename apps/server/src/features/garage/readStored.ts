import type { listQuerySchema, StoredPage } from '@keen/contract';
import { validationIssue } from '@keen/contract';
import { and, desc, eq, getTableColumns, isNull, sql } from 'drizzle-orm';
import type { z } from 'zod';
import type { Handle } from '../../db/client.ts';
import { storedTires, vehicles } from '../../db/schema/index.ts';
import { vehicleRecord } from '../../db/vehicleRecord.ts';
import { invalid } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';

const PAGE = 50;
const PLACE_IN_LIST = /^\d{4}-\d{2}-\d{2}\.[\da-f]{8}(-[\da-f]{4}){3}-[\da-f]{12}$/;

/**
 * Tires that the shop stores, by the latest visit of each car, those that came last first.
 * @throws {AppError} 400 for an `after` that no page ended with
 */
export async function storedPage(
  db: Handle,
  { shopId }: Actor,
  { words = '', after }: z.infer<typeof listQuerySchema>,
): Promise<StoredPage> {
  if (after !== undefined && !PLACE_IN_LIST.test(after)) {
    throw invalid([validationIssue('after', 'pageBefore')]);
  }
  const { since, stored, visitId } = storedTires;
  const older =
    after === undefined
      ? undefined
      : sql`(${since}, ${visitId}) < (${after.slice(0, 10)}::date, ${after.slice(11)}::uuid)`;
  const fitting = words
    .split(/\s+/)
    .filter(Boolean)
    .map(
      (word) =>
        sql`position(keen_plain(${word}) in ${vehicles.search} || ' ' || keen_plain(
          concat_ws(' ', ${stored} ->> 'place', ${stored} ->> 'size'))) > 0`,
    );
  const rows = await db
    .select({ vehicle: getTableColumns(vehicles), visitId, stored })
    .from(storedTires)
    .innerJoin(vehicles, and(eq(vehicles.shopId, shopId), eq(vehicles.id, storedTires.vehicleId)))
    .where(and(eq(storedTires.shopId, shopId), isNull(vehicles.mergedInto), older, ...fitting))
    .orderBy(desc(since), desc(visitId))
    .limit(PAGE + 1);
  const page = rows.slice(0, PAGE);
  const last = page.at(-1);
  return {
    rows: page.map((row) => ({ ...row, vehicle: vehicleRecord(row.vehicle, null) })),
    after: rows.length > PAGE && last ? `${last.stored.since}.${last.visitId}` : null,
  };
}
