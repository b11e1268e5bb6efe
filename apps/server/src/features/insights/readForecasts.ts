import type { ForecastsHeld, InsightQuery } from '@keen/contract';
import { FORECAST_KINDS } from '@keen/contract';
import { forecastsHeld, forecastRibs, isAsForecast, tiresReplaced, workDone } from '@keen/core';
import { and, asc, desc, eq, inArray, isNotNull } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { decisions, vehicles, visits } from '../../db/schema/index.ts';
import { isLast, within } from './lastDecisions.ts';

/** So many forecasts are looked through, latest first: they tell, however old the shop is. */
const MOST_FORECASTS = 2_000;

/**
 * How the depths that were forecast held, against the next visit at which they were read: of decisions after
 * which the work was done that the forecast was made for, or none.
 */
export async function readForecasts(
  tx: Handle,
  shopId: string,
  query: InsightQuery,
): Promise<ForecastsHeld> {
  const rows = await tx
    .select({
      id: visits.id,
      vehicleId: visits.vehicleId,
      arrivedAt: visits.arrivedAt,
      draft: visits.draft,
      plate: vehicles.plate,
      action: decisions.action,
      answer: decisions.answer,
      replace: decisions.replace,
      forecast: decisions.forecast,
    })
    .from(decisions)
    .innerJoin(visits, and(eq(visits.shopId, shopId), eq(visits.id, decisions.visitId)))
    .innerJoin(vehicles, and(eq(vehicles.shopId, shopId), eq(vehicles.id, visits.vehicleId)))
    .where(and(within(shopId, query), isNotNull(decisions.forecast), isLast(tx, shopId)))
    .orderBy(desc(decisions.createdAt))
    .limit(MOST_FORECASTS + 1);
  const decided = rows.slice(0, MOST_FORECASTS).flatMap(({ forecast, ...row }) => {
    const visit = { draft: row.draft, decision: row };
    return forecast && isAsForecast(forecast, visit)
      ? [{ ...row, forecast, visit, isPutRight: workDone(visit) !== null }]
      : [];
  });
  const next = await nextVisits(tx, shopId, decided);
  const cars = decided.flatMap((row) => {
    const now = next.get(row.id);
    if (!now) return [];
    const then = {
      id: row.id,
      arrivedAt: row.arrivedAt.toISOString(),
      draft: row.draft,
      replaced: tiresReplaced(row.visit),
    };
    const later = {
      id: now.id,
      arrivedAt: now.arrivedAt.toISOString(),
      draft: now.draft,
      replaced: [],
    };
    const ribs = forecastRibs(row.forecast, then, later, row.isPutRight);
    return ribs.length > 0 ? [{ row, now, ribs }] : [];
  });
  return {
    ...forecastsHeld(cars.map(({ ribs }) => ribs)),
    isCut: rows.length > MOST_FORECASTS,
    kinds: FORECAST_KINDS.map((kind) => ({
      kind,
      ...forecastsHeld(cars.map(({ ribs }) => ribs.filter((rib) => rib.kind === kind))),
    })),
    points: cars.map(({ row, now, ribs }) => {
      const worst = ribs.reduce((most, one) => (one.forecast > most.forecast ? one : most));
      return {
        visitId: now.id,
        number: now.number,
        plate: row.plate,
        kind: worst.kind,
        km: Math.round(worst.km),
        forecast: worst.forecast,
        found: worst.found,
      };
    }),
  };
}

/** The visit that followed each of some, by the id of the earlier one. */
async function nextVisits(
  tx: Handle,
  shopId: string,
  from: readonly { id: string; vehicleId: string; arrivedAt: Date }[],
) {
  if (from.length === 0) return new Map<string, never>();
  const order = await tx
    .select({ id: visits.id, vehicleId: visits.vehicleId, arrivedAt: visits.arrivedAt })
    .from(visits)
    .where(
      and(
        eq(visits.shopId, shopId),
        inArray(visits.vehicleId, [...new Set(from.map(({ vehicleId }) => vehicleId))]),
      ),
    )
    .orderBy(asc(visits.vehicleId), asc(visits.arrivedAt), asc(visits.number));
  const follower = new Map(
    order.flatMap((visit, i) => {
      const after = order[i + 1];
      return after?.vehicleId === visit.vehicleId ? [[visit.id, after.id] as const] : [];
    }),
  );
  const ids = from.flatMap(({ id }) => follower.get(id) ?? []);
  if (ids.length === 0) return new Map<string, never>();
  const read = await tx
    .select({
      id: visits.id,
      number: visits.number,
      arrivedAt: visits.arrivedAt,
      draft: visits.draft,
    })
    .from(visits)
    .where(and(eq(visits.shopId, shopId), inArray(visits.id, ids)));
  const byId = new Map(read.map((visit) => [visit.id, visit]));
  return new Map(
    from.flatMap(({ id }) => {
      const found = byId.get(follower.get(id) ?? '');
      return found ? [[id, found] as const] : [];
    }),
  );
}
