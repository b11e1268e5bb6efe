import type { CarDetail, CarMerge, GaragePage, GarageRow, VisitDraft } from '@keen/contract';
import { validationIssue } from '@keen/contract';
import type { garageQuerySchema } from '@keen/contract';
import type { z } from 'zod';
import { and, asc, count, desc, eq, getTableColumns, inArray, isNull, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Handle } from '../../db/client.ts';
import { dueRow } from '../../db/dueRow.ts';
import { livingCars } from '../../db/livingCars.ts';
import { carMerges, reminders, vehicles, visits } from '../../db/schema/index.ts';
import { vehicleRecord } from '../../db/vehicleRecord.ts';
import { selectVisits } from '../../db/visitRows.ts';
import { invalid, notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { looksLikeSame } from './looksLikeSame.ts';

const PAGE = 50;
/** What a search gives at most; whoever wants more says more. */
const MOST_FOUND = 500;
const MOST_VISITS = 200;
const MOST_DOUBLES = 5;

/** A page of the shop's cars: all of them, those that fit some words, or those of one customer. */
export async function garagePage(
  db: Handle,
  { shopId }: Actor,
  { words = '', customerOf, after }: z.infer<typeof garageQuerySchema>,
): Promise<GaragePage> {
  const isSkip = after !== undefined && /^\d+$/.test(after);
  if (after !== undefined && isSkip !== (words !== '')) {
    throw invalid([validationIssue('after', 'pageBefore')]);
  }
  if (words !== '') return searchPage(db, shopId, words, Number(after ?? 0));
  const own = and(eq(vehicles.shopId, shopId), isNull(vehicles.mergedInto));
  const same =
    customerOf === undefined
      ? undefined
      : sql`${vehicles.customerKey} <> '' and ${vehicles.customerKey} = (
          select named.customer_key from ${vehicles} as named where named.shop_id = ${shopId} and named.id = ${customerOf}
        )`;
  const older =
    after === undefined
      ? undefined
      : sql`(${vehicles.lastVisitAt}, ${vehicles.id}) < (
          (select last.last_visit_at from ${vehicles} as last where last.shop_id = ${shopId} and last.id = ${after}::uuid),
          ${after}::uuid
        )`;
  const ids = await db
    .select({ id: vehicles.id })
    .from(vehicles)
    .where(and(own, same, older))
    .orderBy(desc(vehicles.lastVisitAt), desc(vehicles.id))
    .limit(PAGE + 1);
  const page = ids.slice(0, PAGE).map(({ id }) => id);
  return {
    rows: await garageRows(db, shopId, page),
    after: ids.length > PAGE ? page.at(-1)! : null,
  };
}

async function searchPage(
  db: Handle,
  shopId: string,
  words: string,
  skipped: number,
): Promise<GaragePage> {
  const most = Math.min(MOST_FOUND, skipped + PAGE + 1);
  const found = await db.execute<{ id: string }>(
    sql`select keen_find_cars(${words}, ${most}) as id`,
  );
  const page = found.rows.slice(skipped, skipped + PAGE).map(({ id }) => id);
  const isMore = found.rows.length > skipped + PAGE;
  return {
    rows: await garageRows(db, shopId, await livingCars(db, shopId, page)),
    after: isMore ? String(skipped + PAGE) : null,
  };
}

/** Cars as the list has them, in the order of their ids. */
async function garageRows(
  db: Handle,
  shopId: string,
  ids: readonly string[],
): Promise<GarageRow[]> {
  if (ids.length === 0) return [];
  const last = db
    .select({
      id: visits.id,
      number: visits.number,
      arrivedAt: visits.arrivedAt,
      draft: sql<Pick<VisitDraft, 'tires' | 'limits'>>`jsonb_strip_nulls(jsonb_build_object(
        'tires', ${visits.draft} -> 'tires', 'limits', ${visits.draft} -> 'limits'))`.as('draft'),
    })
    .from(visits)
    .where(and(eq(visits.shopId, shopId), eq(visits.vehicleId, vehicles.id)))
    .orderBy(desc(visits.arrivedAt), desc(visits.number))
    .limit(1)
    .as('last');
  const counted = db
    .select({ visits: count().as('visits') })
    .from(visits)
    .where(and(eq(visits.shopId, shopId), eq(visits.vehicleId, vehicles.id)))
    .as('counted');
  const due = db
    .select({ reminder: reminders.reminder })
    .from(reminders)
    .where(and(eq(reminders.shopId, shopId), eq(reminders.vehicleId, vehicles.id)))
    .orderBy(asc(reminders.dueOn))
    .limit(1)
    .as('due');
  const rows = await db
    .select({
      vehicle: getTableColumns(vehicles),
      visits: counted.visits,
      last: {
        id: last.id,
        number: last.number,
        arrivedAt: last.arrivedAt,
        draft: last.draft,
      },
      due: due.reminder,
    })
    .from(vehicles)
    .innerJoinLateral(counted, sql`true`)
    .leftJoinLateral(last, sql`true`)
    .leftJoinLateral(due, sql`true`)
    .where(and(eq(vehicles.shopId, shopId), inArray(vehicles.id, [...ids])));
  return rows
    .toSorted((a, b) => ids.indexOf(a.vehicle.id) - ids.indexOf(b.vehicle.id))
    .map((row) => ({
      vehicle: vehicleRecord(row.vehicle, null),
      visits: row.visits,
      last: row.last?.id
        ? { ...row.last, arrivedAt: new Date(row.last.arrivedAt).toISOString() }
        : null,
      due: row.due,
    }));
}

/**
 * A car with all its visits. An entry that was joined to another car leads to that one.
 * @throws {AppError} 404 when the shop has none of this id
 */
export async function carDetail(db: Handle, actor: Actor, id: string): Promise<CarDetail> {
  const { shopId } = actor;
  const [living] = await livingCars(db, shopId, [id]);
  if (living === undefined) throw notFound('noCar');
  const own = eq(vehicles.shopId, shopId);
  const [[car], list, due, merges] = await Promise.all([
    db
      .select()
      .from(vehicles)
      .where(and(own, eq(vehicles.id, living))),
    selectVisits(db, and(eq(visits.shopId, shopId), eq(visits.vehicleId, living)), MOST_VISITS),
    db
      .select()
      .from(reminders)
      .where(and(eq(reminders.shopId, shopId), eq(reminders.vehicleId, living)))
      .orderBy(asc(reminders.dueOn), asc(reminders.place)),
    mergesOf(db, shopId, living),
  ]);
  if (!car) throw notFound('noCar');
  const named = and(own, isNull(vehicles.mergedInto), eq(vehicles.customerKey, car.customerKey));
  return {
    vehicle: vehicleRecord(car, list[0]?.vehicle.drive ?? null),
    visits: list,
    due: due.map((row) => dueRow(row, car)),
    customerCars: car.customerKey === '' ? 1 : await db.$count(vehicles, named),
    doubles: await doublesOf(db, shopId, car),
    merges,
  };
}

/** Entries that look like the same car, by VIN or by plate. */
async function doublesOf(
  db: Handle,
  shopId: string,
  car: typeof vehicles.$inferSelect,
): Promise<CarDetail['doubles']> {
  if (car.erasedAt !== null) return [];
  const asked = [
    ...(car.vin === '' ? [] : [sql`select keen_find_cars(${car.vin}, ${MOST_FOUND / 10}) as id`]),
    ...(car.customerKey === ''
      ? []
      : [
          sql`(select id from ${vehicles} where shop_id = ${shopId} and customer_key = ${car.customerKey}
            order by last_visit_at desc, id desc limit ${MOST_FOUND})`,
        ]),
  ];
  if (asked.length === 0) return [];
  const { rows: found } = await db.execute<{ id: string }>(sql.join(asked, sql` union `));
  const ids = found.map(({ id }) => id).filter((id) => id !== car.id);
  if (ids.length === 0) return [];
  const rows = await db
    .select()
    .from(vehicles)
    .where(
      and(
        eq(vehicles.shopId, shopId),
        inArray(vehicles.id, ids),
        isNull(vehicles.mergedInto),
        isNull(vehicles.erasedAt),
      ),
    );
  return rows
    .filter((row) => looksLikeSame(car, row))
    .slice(0, MOST_DOUBLES)
    .map((row) => vehicleRecord(row, null));
}

async function mergesOf(db: Handle, shopId: string, id: string): Promise<CarMerge[]> {
  const merged = alias(vehicles, 'merged');
  const rows = await db
    .select({ merge: carMerges, merged })
    .from(carMerges)
    .innerJoin(merged, eq(merged.id, carMerges.mergedId))
    .where(
      and(eq(carMerges.shopId, shopId), eq(carMerges.vehicleId, id), isNull(carMerges.undoneAt)),
    )
    .orderBy(desc(carMerges.createdAt));
  return rows.map(({ merge, merged: car }) => ({
    id: merge.id,
    vehicle: vehicleRecord(car, null),
    visits: merge.visitIds.length,
    personId: merge.personId,
    at: merge.createdAt.toISOString(),
  }));
}
