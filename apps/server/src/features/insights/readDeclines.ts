import type { DeclineCosts, DeclinedPage, InsightQuery, PriceList } from '@keen/contract';
import { costOfDecline, declineCosts } from '@keen/core';
import type { SeenAgain } from '@keen/core';
import { and, asc, desc, eq, gt, inArray, lt, ne } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { decisions, vehicles, visits } from '../../db/schema/index.ts';
import { shopSettings } from '../../db/shopSettings.ts';
import { ADVISED, earliestOf, isLast, within } from './lastDecisions.ts';

const PAGE = 50;
/** So many are looked through, latest first: they tell, however old the shop is. */
const MOST_DECLINED = 1_000;

/** Visits whose last decision is a no, latest first, with what each has cost by now. */
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
      vehicleId: visits.vehicleId,
      arrivedAt: visits.arrivedAt,
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
  const page = rows.slice(0, PAGE);
  const { prices } = await shopSettings(tx, shopId);
  const costs = await costsOf(tx, shopId, page, prices);
  return {
    rows: page.map(({ vehicleId: _car, arrivedAt: _arrived, at, ...row }) => ({
      ...row,
      at: at.toISOString(),
      cost: costs.get(row.visitId) ?? null,
    })),
    before: rows.length > PAGE ? page.at(-1)!.at.toISOString() : null,
  };
}

/** What saying no to work has cost customers whose cars were judged again. */
export async function declineCostsOf(
  tx: Handle,
  shopId: string,
  query: InsightQuery,
): Promise<DeclineCosts> {
  const declined = await tx
    .select({
      visitId: decisions.visitId,
      vehicleId: visits.vehicleId,
      arrivedAt: visits.arrivedAt,
    })
    .from(decisions)
    .innerJoin(visits, and(eq(visits.shopId, shopId), eq(visits.id, decisions.visitId)))
    .where(
      and(
        within(shopId, query),
        eq(decisions.answer, 'no'),
        // There is nothing to decline where no work was advised.
        ne(ADVISED, 'fitOnly'),
        isLast(tx, shopId),
      ),
    )
    .orderBy(desc(decisions.createdAt))
    .limit(MOST_DECLINED + 1);
  const used = declined.slice(0, MOST_DECLINED);
  const { prices } = await shopSettings(tx, shopId);
  const seen = await seenAgain(tx, shopId, used);
  return {
    declined: used.length,
    isCut: declined.length > MOST_DECLINED,
    ...declineCosts(
      seen.map(({ found }) => found),
      prices,
    ),
  };
}

interface Declined {
  visitId: string;
  vehicleId: string;
  arrivedAt: Date;
}

async function costsOf(
  tx: Handle,
  shopId: string,
  declined: readonly Declined[],
  prices: PriceList,
): Promise<Map<string, { visitId: string; number: number; minor: number }>> {
  const seen = await seenAgain(tx, shopId, declined);
  return new Map(
    seen.map(({ visitId, again, found }) => [
      visitId,
      { ...again, minor: costOfDecline(found, prices)?.cost ?? 0 },
    ]),
  );
}

/** The declined visits whose cars were judged again, each with the next visit at which they were. */
async function seenAgain(
  tx: Handle,
  shopId: string,
  declined: readonly Declined[],
): Promise<{ visitId: string; again: { visitId: string; number: number }; found: SeenAgain }[]> {
  if (declined.length === 0) return [];
  const earliest = earliestOf(declined);
  // Which visit it is tells without what is in it.
  const later = await tx
    .selectDistinctOn([visits.vehicleId, visits.arrivedAt, visits.number], {
      visitId: visits.id,
      number: visits.number,
      vehicleId: visits.vehicleId,
      arrivedAt: visits.arrivedAt,
      decisionId: decisions.id,
    })
    .from(visits)
    .innerJoin(decisions, and(eq(decisions.shopId, shopId), eq(decisions.visitId, visits.id)))
    .where(
      and(
        eq(visits.shopId, shopId),
        inArray(visits.vehicleId, [...new Set(declined.map(({ vehicleId }) => vehicleId))]),
        gt(visits.arrivedAt, earliest),
      ),
    )
    .orderBy(
      asc(visits.vehicleId),
      asc(visits.arrivedAt),
      asc(visits.number),
      desc(decisions.createdAt),
    );
  const pairs = declined.flatMap((one) => {
    const next = later.find(
      ({ vehicleId, arrivedAt }) => vehicleId === one.vehicleId && arrivedAt > one.arrivedAt,
    );
    return next ? [{ visitId: one.visitId, next }] : [];
  });
  if (pairs.length === 0) return [];
  const then = await judged(
    tx,
    shopId,
    pairs.map(({ visitId }) => visitId),
  );
  const now = await judged(
    tx,
    shopId,
    pairs.map(({ next }) => next.visitId),
  );
  return pairs.flatMap(({ visitId, next }) => {
    const declinedThen = then.get(visitId);
    const again = now.get(next.visitId);
    if (!declinedThen || !again) return [];
    const { number, arrivedAt, draft, action, advised, answer, reason, replace } = declinedThen;
    return [
      {
        visitId,
        again: { visitId: next.visitId, number: next.number },
        found: {
          declined: {
            number,
            arrivedAt: arrivedAt.toISOString(),
            draft,
            decision: { action, advised, answer, reason, replace },
          },
          draft: again.draft,
          diagnosis: again.diagnosis,
        },
      },
    ];
  });
}

/** Visits with their last decision, by id. */
async function judged(tx: Handle, shopId: string, ids: readonly string[]) {
  const rows = await tx
    .selectDistinctOn([visits.id], {
      id: visits.id,
      number: visits.number,
      arrivedAt: visits.arrivedAt,
      draft: visits.draft,
      action: decisions.action,
      advised: decisions.advised,
      answer: decisions.answer,
      reason: decisions.reason,
      replace: decisions.replace,
      diagnosis: decisions.diagnosis,
    })
    .from(visits)
    .innerJoin(decisions, and(eq(decisions.shopId, shopId), eq(decisions.visitId, visits.id)))
    .where(and(eq(visits.shopId, shopId), inArray(visits.id, [...new Set(ids)])))
    .orderBy(visits.id, desc(decisions.createdAt));
  return new Map(rows.map(({ id, ...row }) => [id, row]));
}
