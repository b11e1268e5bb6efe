import type { Advice, InsightQuery } from '@keen/contract';
import { and, sql } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { decisions } from '../../db/schema/index.ts';
import { ADVISED, isLast, within } from './lastDecisions.ts';

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
  const counts = await tx
    .select({
      personId,
      advised: ADVISED,
      chosen: action,
      answer,
      count: sql<number>`count(*)::int`,
    })
    .from(decisions)
    .where(and(within(shopId, query), isLast(tx, shopId)))
    .groupBy(personId, ADVISED, action, answer);
  return { counts };
}
