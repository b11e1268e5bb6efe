import type { InsightQuery } from '@keen/contract';
import { reliability, saidAndFound } from '@keen/core';
import type { Reliability } from '@keen/core';
import { and, desc, eq, lte, notExists, or, sql } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { decisions, entries, visits } from '../../db/schema/index.ts';
import { within } from './lastDecisions.ts';

/** Decisions that are looked through, latest first: so many tell, however old the shop is. */
const MOST_DECISIONS = 5_000;

/**
 * How the chances of camber and toe held that were said before any angle was measured. Each visit counts once, by
 * the last such decision.
 */
export async function chancesHeld(
  tx: Handle,
  shopId: string,
  query: InsightQuery,
): Promise<Reliability> {
  const latest = tx
    .select({
      visitId: decisions.visitId,
      entrySeq: decisions.entrySeq,
      createdAt: decisions.createdAt,
      id: decisions.id,
    })
    .from(decisions)
    .where(within(shopId, query))
    .orderBy(desc(decisions.createdAt))
    .limit(MOST_DECISIONS)
    .as('latest');
  const rows = await tx
    .selectDistinctOn([latest.visitId], {
      visitId: latest.visitId,
      diagnosis: decisions.diagnosis,
      draft: visits.draft,
    })
    .from(latest)
    .innerJoin(decisions, and(eq(decisions.shopId, shopId), eq(decisions.id, latest.id)))
    .innerJoin(visits, and(eq(visits.shopId, shopId), eq(visits.id, latest.visitId)))
    .where(
      and(
        or(
          sql`${visits.draft} -> 'angles' is not null`,
          sql`${visits.draft} #> '{visit,setRight,before}' is not null`,
        ),
        notExists(
          tx
            .select({ one: sql`1` })
            .from(entries)
            .where(
              and(
                eq(entries.shopId, shopId),
                eq(entries.visitId, latest.visitId),
                lte(entries.seq, latest.entrySeq),
                sql`${entries.path} like 'angles.%'`,
              ),
            ),
        ),
      ),
    )
    .orderBy(latest.visitId, desc(latest.createdAt));
  return reliability(rows.map(({ diagnosis, draft }) => saidAndFound(diagnosis, draft)));
}
