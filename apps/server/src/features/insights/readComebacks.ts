import type { ComebackRow, Comebacks, InsightQuery, VisitRef } from '@keen/contract';
import { comebacks } from '@keen/core';
import type { FollowedVisit } from '@keen/core';
import { and, asc, desc, eq, gte, inArray, ne, sql } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { decisions, vehicles, visits } from '../../db/schema/index.ts';
import { shopSettings } from '../../db/shopSettings.ts';
import { ADVISED, earliestOf, isLast, within } from './lastDecisions.ts';

/** So much work is followed, latest first: it tells, however old the shop is. */
const MOST_WORK = 2_000;

/** How the work done in a time has held, and what came back. */
export async function readComebacks(
  tx: Handle,
  shopId: string,
  query: InsightQuery,
): Promise<Comebacks> {
  const { comebackKm: withinKm } = await shopSettings(tx, shopId);
  const done = await tx
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
        eq(decisions.answer, 'yes'),
        ne(decisions.action, 'fitOnly'),
        isLast(tx, shopId),
      ),
    )
    .orderBy(desc(decisions.createdAt))
    .limit(MOST_WORK + 1);
  const followed = done.slice(0, MOST_WORK);
  if (followed.length === 0) return { withinKm, isCut: false, works: [], rows: [] };
  const seen = await visitsSince(tx, shopId, followed);
  const cars = followed.map(({ visitId, vehicleId }) => {
    const ofCar = seen.get(vehicleId) ?? [];
    return ofCar.slice(ofCar.findIndex(({ id }) => id === visitId));
  });
  const { works, rows } = comebacks(cars, withinKm);
  const names = await namesOf(
    tx,
    shopId,
    rows.map(({ done: { vehicleId } }) => vehicleId),
  );
  return {
    withinKm,
    isCut: done.length > MOST_WORK,
    works,
    rows: rows
      .toSorted((a, b) => b.back.arrivedAt.localeCompare(a.back.arrivedAt))
      .map(({ work, km, how, done: at, back, caughtAt }): ComebackRow => ({
        work,
        ...names.get(at.vehicleId)!,
        km,
        how,
        done: refOf(at),
        back: refOf(back),
        caughtAt: caughtAt && { visit: refOf(caughtAt.visit), why: caughtAt.why },
      })),
  };
}

/** A visit that is followed, with its car. */
type SeenVisit = FollowedVisit & { vehicleId: string };

/** All visits of some cars from the earliest of those given on, oldest first, car by car. */
async function visitsSince(
  tx: Handle,
  shopId: string,
  from: readonly { vehicleId: string; arrivedAt: Date }[],
): Promise<Map<string, SeenVisit[]>> {
  const earliest = earliestOf(from);
  const ids = [...new Set(from.map(({ vehicleId }) => vehicleId))];
  const rows = await tx
    .selectDistinctOn([visits.vehicleId, visits.arrivedAt, visits.number], {
      id: visits.id,
      number: visits.number,
      vehicleId: visits.vehicleId,
      arrivedAt: visits.arrivedAt,
      draft: visits.draft,
      action: decisions.action,
      advised: ADVISED,
      answer: decisions.answer,
      replace: decisions.replace,
    })
    .from(visits)
    .leftJoin(decisions, and(eq(decisions.shopId, shopId), eq(decisions.visitId, visits.id)))
    .where(
      and(
        eq(visits.shopId, shopId),
        inArray(visits.vehicleId, ids),
        gte(visits.arrivedAt, earliest),
      ),
    )
    .orderBy(
      asc(visits.vehicleId),
      asc(visits.arrivedAt),
      asc(visits.number),
      sql`${decisions.createdAt} desc nulls last`,
    );
  const cars = new Map<string, SeenVisit[]>();
  for (const { action, advised, answer, replace, arrivedAt, ...visit } of rows) {
    const ofCar = cars.get(visit.vehicleId) ?? [];
    cars.set(visit.vehicleId, ofCar);
    const decision =
      action === null || answer === null
        ? null
        : { action, advised, answer, replace: replace ?? [] };
    ofCar.push({ ...visit, arrivedAt: arrivedAt.toISOString(), decision });
  }
  return cars;
}

async function namesOf(
  tx: Handle,
  shopId: string,
  ids: readonly string[],
): Promise<Map<string, { plate: string; label: string }>> {
  if (ids.length === 0) return new Map();
  const rows = await tx
    .select({ id: vehicles.id, plate: vehicles.plate, label: vehicles.label })
    .from(vehicles)
    .where(and(eq(vehicles.shopId, shopId), inArray(vehicles.id, [...new Set(ids)])));
  return new Map(rows.map(({ id, ...name }) => [id, name]));
}

function refOf({ id, number, arrivedAt }: FollowedVisit): VisitRef {
  return { visitId: id, number, at: arrivedAt };
}
