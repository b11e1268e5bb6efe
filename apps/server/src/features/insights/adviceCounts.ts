import type { Advice, InsightQuery } from '@keen/contract';
import { and, eq, gte, lte, sql } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { adviceDays } from '../../db/schema/index.ts';

/**
 * How many visits ended alike. A visit counts once, by its last decision, on the day of that.
 * @param query - days that count, UTC
 */
export async function adviceCounts(
  tx: Handle,
  shopId: string,
  { from, until }: InsightQuery,
): Promise<Advice> {
  const { day, personId, advised, chosen, answer, count } = adviceDays;
  const counts = await tx
    .select({ personId, advised, chosen, answer, count: sql<number>`sum(${count})::int` })
    .from(adviceDays)
    .where(
      and(
        eq(adviceDays.shopId, shopId),
        from === undefined ? undefined : gte(day, from),
        until === undefined ? undefined : lte(day, until),
      ),
    )
    .groupBy(personId, advised, chosen, answer)
    .having(sql`sum(${count}) > 0`);
  return { counts };
}
