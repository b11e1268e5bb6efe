import type { CustomerDetail, CustomerPage, CustomerRow, listQuerySchema } from '@keen/contract';
import { and, asc, desc, eq, gt, inArray, isNull, ne, sql } from 'drizzle-orm';
import type { z } from 'zod';
import type { Handle } from '../../db/client.ts';
import { livingCars } from '../../db/livingCars.ts';
import { customerMerges, vehicles } from '../../db/schema/index.ts';
import { notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { looksLikeCustomer } from './looksLikeCustomer.ts';

const PAGE = 50;
/** Cars that a search for customers looks through, where it says next to nothing, and for doubles. */
const MOST_FOUND = 1_000;
const FEW_FOUND = 200;
const LEAST_LETTERS = 3;
const MOST_ALIKE = 200;
const MOST_DOUBLES = 5;
/** Letters of a name that another spelling of it is looked for by. */
const PREFIX = 4;

type CustomerQuery = z.infer<typeof listQuerySchema>;

/** A page of customers, in order of their names as they are compared. */
export async function customerPage(
  db: Handle,
  { shopId }: Actor,
  { words = '', after }: CustomerQuery,
): Promise<CustomerPage> {
  const found = words === '' ? undefined : await foundKeys(db, shopId, words);
  if (found?.length === 0) return { rows: [], after: null };
  const keys = await db
    .selectDistinct({ key: vehicles.customerKey })
    .from(vehicles)
    .where(
      and(
        living(shopId),
        found ? inArray(vehicles.customerKey, found) : undefined,
        after === undefined ? undefined : gt(vehicles.customerKey, after),
      ),
    )
    .orderBy(asc(vehicles.customerKey))
    .limit(PAGE + 1);
  const page = keys.slice(0, PAGE).map(({ key }) => key);
  return {
    rows: (await customerRows(db, shopId, page)).map(rowOf),
    after: keys.length > PAGE ? page.at(-1)! : null,
  };
}

/** The customer of a car. @throws {AppError} 404 when the car is not the shop's, or has no customer */
export async function customerDetail(
  db: Handle,
  { shopId }: Actor,
  carId: string,
): Promise<CustomerDetail> {
  const key = await customerKeyOf(db, shopId, carId);
  const [own] = await customerRows(db, shopId, [key]);
  if (!own) throw notFound('noCustomer');
  const merges = await db
    .select()
    .from(customerMerges)
    .where(
      and(
        eq(customerMerges.shopId, shopId),
        eq(customerMerges.key, key),
        isNull(customerMerges.undoneAt),
      ),
    )
    .orderBy(desc(customerMerges.createdAt));
  return {
    ...rowOf(own),
    doubles: await doublesOf(db, shopId, own),
    merges: merges.map(({ id, mergedName, cars, personId, createdAt }) => ({
      id,
      name: mergedName,
      cars: cars.length,
      personId,
      at: createdAt.toISOString(),
    })),
  };
}

/** The name of a car's customer as it is compared. @throws {AppError} 404 */
export async function customerKeyOf(db: Handle, shopId: string, carId: string): Promise<string> {
  const [id] = await livingCars(db, shopId, [carId]);
  if (id === undefined) throw notFound('noCar');
  const [car] = await db
    .select({ key: vehicles.customerKey })
    .from(vehicles)
    .where(and(eq(vehicles.shopId, shopId), eq(vehicles.id, id)));
  if (!car || car.key === '') throw notFound('noCustomer');
  return car.key;
}

function living(shopId: string) {
  return and(
    eq(vehicles.shopId, shopId),
    isNull(vehicles.mergedInto),
    ne(vehicles.customerKey, ''),
  );
}

interface Customer extends CustomerRow {
  key: string;
}

/** Customers by their names as they are compared, in that order. */
async function customerRows(
  db: Handle,
  shopId: string,
  keys: readonly string[],
): Promise<Customer[]> {
  if (keys.length === 0) return [];
  // What is said of a customer is what the car says that was seen last.
  const rows = await db
    .select({
      key: vehicles.customerKey,
      carId: sql<string>`(array_agg(${vehicles.id} order by ${vehicles.lastVisitAt} desc))[1]`,
      name: sql<string>`(array_agg(${vehicles.customer} order by ${vehicles.lastVisitAt} desc))[1]`,
      phone: sql<string>`coalesce((array_agg(${vehicles.phone} order by ${vehicles.lastVisitAt} desc)
        filter (where ${vehicles.phone} <> ''))[1], '')`,
      cars: sql<number>`count(*)::int`,
      lastVisitAt: sql<string>`max(${vehicles.lastVisitAt})`,
    })
    .from(vehicles)
    .where(and(living(shopId), inArray(vehicles.customerKey, [...keys])))
    .groupBy(vehicles.customerKey)
    .orderBy(asc(vehicles.customerKey));
  return rows.map((row) => ({ ...row, lastVisitAt: new Date(row.lastVisitAt).toISOString() }));
}

function rowOf({ carId, name, phone, cars, lastVisitAt }: Customer): CustomerRow {
  return { carId, name, phone, cars, lastVisitAt };
}

/** Names of the customers whose cars fit every word. */
async function foundKeys(db: Handle, shopId: string, words: string): Promise<string[]> {
  const found = await db.execute<{ id: string }>(
    sql`select keen_find_cars(${words}, ${words.length < LEAST_LETTERS ? FEW_FOUND : MOST_FOUND}) as id`,
  );
  const ids = await livingCars(
    db,
    shopId,
    found.rows.map(({ id }) => id),
  );
  return keysOf(db, shopId, ids);
}

async function keysOf(db: Handle, shopId: string, ids: readonly string[]): Promise<string[]> {
  if (ids.length === 0) return [];
  const rows = await db
    .selectDistinct({ key: vehicles.customerKey })
    .from(vehicles)
    .where(and(living(shopId), inArray(vehicles.id, [...ids])));
  return rows.map(({ key }) => key);
}

/** Customers who may be the same: by telephone, or by a name that is spelled much like theirs. */
async function doublesOf(db: Handle, shopId: string, own: Customer): Promise<CustomerRow[]> {
  const longest = own.key.split(' ').reduce((a, b) => (b.length > a.length ? b : a), '');
  const asked = [
    longest.slice(0, PREFIX),
    longest.slice(-PREFIX),
    own.phone.replace(/\D/g, ''),
  ].filter((words) => words !== '');
  const ids = new Set<string>();
  for (const words of asked) {
    const { rows } = await db.execute<{ id: string }>(
      sql`select keen_find_cars(${words}, ${MOST_ALIKE}) as id`,
    );
    for (const { id } of rows) ids.add(id);
  }
  const keys = (await keysOf(db, shopId, [...ids])).filter((key) => key !== own.key);
  return (await customerRows(db, shopId, keys))
    .filter((other) => looksLikeCustomer(own, other))
    .slice(0, MOST_DOUBLES)
    .map(rowOf);
}
