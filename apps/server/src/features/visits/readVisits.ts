import type { Visit, VisitDetail, VisitPage } from '@keen/contract';
import { and, asc, eq, inArray, isNull, lt, ne, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import { prepared } from '../../db/client.ts';
import type { Handle } from '../../db/client.ts';
import { entryRecord } from '../../db/entryRecord.ts';
import { decisions, entries, visits } from '../../db/schema/index.ts';
import { notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { decisionRecord } from '../../db/visitRecord.ts';
import { rowRecord, rowsQuery, selectVisits } from '../../db/visitRows.ts';

/** Whose visits. */
type OfShop = Pick<Actor, 'shopId'>;

/** More are open at once only where nobody closes visits. */
const MOST_OPEN = 200;
const PAGE = 50;
const MOST_HISTORY = 200;

/** The visits that have not been closed, latest first. */
export async function openVisits(db: Handle, { shopId }: OfShop): Promise<VisitPage> {
  const scope = and(eq(visits.shopId, shopId), isNull(visits.closedAt));
  return pageOf(await selectVisits(db, scope, MOST_OPEN + 1), MOST_OPEN);
}

/** A page of all visits, or of those that fit every word, latest first. */
export async function searchVisits(
  db: Handle,
  { shopId }: OfShop,
  words: string,
  before: number | undefined,
): Promise<VisitPage> {
  const own = eq(visits.shopId, shopId);
  if (words !== '') {
    const found = await db.execute<{ id: string }>(
      sql`select keen_find_visits(${words}, ${before ?? null}, ${PAGE + 1}) as id`,
    );
    const ids = found.rows.map(({ id }) => id);
    if (ids.length === 0) return { visits: [], before: null };
    return pageOf(await selectVisits(db, and(own, inArray(visits.id, ids)), PAGE + 1), PAGE);
  }
  // The number names the place; arrivals are finer than a date here can say.
  const older =
    before === undefined
      ? undefined
      : sql`(${visits.arrivedAt}, ${visits.number}) < (
          (select last.arrived_at from ${visits} as last where last.shop_id = ${shopId} and last.number = ${before}),
          ${before}
        )`;
  return pageOf(await selectVisits(db, and(own, older), PAGE + 1), PAGE);
}

/** One more than a page was asked for, which tells whether there is another. */
function pageOf(list: Visit[], most: number): VisitPage {
  const page = list.slice(0, most);
  return { visits: page, before: list.length > most ? page.at(-1)!.number : null };
}

const ID = sql.placeholder('id');
const SHOP = sql.placeholder('shopId');

/** One visit as lists have it; null when the shop has none of this id. */
export async function findVisit(db: Handle, shopId: string, id: string): Promise<Visit | null> {
  const query = prepared(db, 'visit_row', () =>
    rowsQuery(db, and(eq(visits.shopId, SHOP), eq(visits.id, ID)), 1).prepare('visit_row'),
  );
  const [row] = await query.execute({ shopId, id });
  return row ? rowRecord(row) : null;
}

/** The same. @throws {AppError} 404 when there is none */
export async function oneVisit(db: Handle, { shopId }: OfShop, id: string): Promise<Visit> {
  const visit = await findVisit(db, shopId, id);
  if (!visit) throw notFound('noVisit');
  return visit;
}

/** One visit with its entries, decisions and the earlier visits of the same car. */
export async function visitDetail(
  db: Handle,
  { shopId }: OfShop,
  id: string,
): Promise<VisitDetail> {
  const [visit, kept, decided, history] = await Promise.all([
    findVisit(db, shopId, id),
    prepared(db, 'visit_entries', () =>
      db
        .select()
        .from(entries)
        .where(and(eq(entries.shopId, SHOP), eq(entries.visitId, ID)))
        .orderBy(asc(entries.seq))
        .prepare('visit_entries'),
    ).execute({ shopId, id }),
    prepared(db, 'visit_decisions', () =>
      db
        .select()
        .from(decisions)
        .where(and(eq(decisions.shopId, SHOP), eq(decisions.visitId, ID)))
        .orderBy(asc(decisions.createdAt))
        .prepare('visit_decisions'),
    ).execute({ shopId, id }),
    prepared(db, 'visit_history', () => {
      const own = eq(visits.shopId, SHOP);
      const at = alias(visits, 'at_hand');
      const ofThis = and(eq(at.shopId, SHOP), eq(at.id, ID));
      const car = db.select({ id: at.vehicleId }).from(at).where(ofThis);
      const arrived = db.select({ arrivedAt: at.arrivedAt }).from(at).where(ofThis);
      const earlier = and(
        own,
        eq(visits.vehicleId, car),
        ne(visits.id, ID),
        lt(visits.arrivedAt, arrived),
      );
      return rowsQuery(db, earlier, MOST_HISTORY).prepare('visit_history');
    }).execute({ shopId, id }),
  ]);
  if (!visit) throw notFound('noVisit');
  return {
    visit,
    entries: kept.map(entryRecord),
    decisions: decided.map(decisionRecord),
    history: history.map(rowRecord),
  };
}
