import type { Advice, DeclinedPage, InsightQuery } from '@keen/contract';
import { and, desc, eq, gt, gte, lt, notExists, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Handle } from '../../db/client.ts';
import { decisions, vehicles, visits } from '../../db/schema/index.ts';

const PAGE = 50;
const DAY_MS = 86_400_000;

/**
 * How many visits ended alike. A visit counts once, by its last decision, on the day of that.
 * @param query - days that count, UTC
 */
export async function adviceCounts(
  tx: Handle,
  shopId: string,
  query: InsightQuery,
): Promise<Advice> {
  const { personId, action, answer } = decisions;
  // Decisions from before there were prices have no advice of their own: what was chosen stands for it.
  const advised = sql<(typeof action)['_']['data']>`coalesce(${decisions.advised}, ${action})`;
  const counts = await tx
    .select({ personId, advised, chosen: action, answer, count: sql<number>`count(*)::int` })
    .from(decisions)
    .where(and(within(shopId, query), isLast(tx, shopId)))
    .groupBy(personId, advised, action, answer);
  return { counts };
}

/** Visits whose last decision is a no, latest first. */
export async function declinedPage(
  tx: Handle,
  shopId: string,
  query: InsightQuery & { before?: string | undefined },
): Promise<DeclinedPage> {
  const { visitId, action, reason, personId, createdAt } = decisions;
  const rows = await tx
    .select({
      visitId,
      number: visits.number,
      plate: vehicles.plate,
      label: vehicles.label,
      at: createdAt,
      chosen: action,
      reason,
      personId,
    })
    .from(decisions)
    .innerJoin(visits, and(eq(visits.shopId, shopId), eq(visits.id, visitId)))
    .innerJoin(vehicles, and(eq(vehicles.shopId, shopId), eq(vehicles.id, visits.vehicleId)))
    .where(
      and(
        within(shopId, query),
        eq(decisions.answer, 'no'),
        query.before === undefined ? undefined : lt(createdAt, new Date(query.before)),
        isLast(tx, shopId),
      ),
    )
    .orderBy(desc(createdAt))
    .limit(PAGE + 1);
  const page = rows.slice(0, PAGE).map((row) => ({ ...row, at: row.at.toISOString() }));
  return { rows: page, before: rows.length > PAGE ? page.at(-1)!.at : null };
}

/** Decisions of the days asked for, UTC, the last one whole. */
export function within(shopId: string, { from, until }: InsightQuery) {
  const { createdAt } = decisions;
  return and(
    eq(decisions.shopId, shopId),
    from === undefined ? undefined : gte(createdAt, new Date(from)),
    // The last day counts whole.
    until === undefined ? undefined : lt(createdAt, new Date(new Date(until).getTime() + DAY_MS)),
  );
}

function isLast(tx: Handle, shopId: string) {
  const later = alias(decisions, 'later');
  return notExists(
    tx
      .select({ one: sql`1` })
      .from(later)
      .where(
        and(
          eq(later.shopId, shopId),
          eq(later.visitId, decisions.visitId),
          gt(later.createdAt, decisions.createdAt),
        ),
      ),
  );
}
