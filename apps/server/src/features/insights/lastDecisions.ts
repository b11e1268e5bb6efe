import type { InsightQuery } from '@keen/contract';
import { and, eq, gt, gte, lt, notExists, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Handle } from '../../db/client.ts';
import { decisions } from '../../db/schema/index.ts';

const DAY_MS = 86_400_000;

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

/** Only the last decision of each visit. */
export function isLast(tx: Handle, shopId: string) {
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

/** When the first of some cars arrived; there is one at least. */
export function earliestOf(rows: readonly { arrivedAt: Date }[]): Date {
  return new Date(Math.min(...rows.map(({ arrivedAt }) => arrivedAt.getTime())));
}

/** What was advised; decisions from before there were prices have no advice of their own. */
export const ADVISED = sql<
  (typeof decisions.action)['_']['data']
>`coalesce(${decisions.advised}, ${decisions.action})`;
