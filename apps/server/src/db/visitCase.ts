import type { CaseFile, Visit, VisitDetail } from '@keen/contract';
import { draftToCase } from '@keen/core';
import { and, eq, lt, sql } from 'drizzle-orm';
import type { Handle } from './client.ts';
import { visits } from './schema/index.ts';
import { selectVisits } from './visitRows.ts';

/** Earlier visits of the same car that are looked through. */
const MOST_EARLIER = 200;

/** A visit as a case file, with what earlier visits of the car read of its tires. */
export function caseOf({ visit, history }: Pick<VisitDetail, 'visit' | 'history'>): CaseFile {
  const label = [visit.vehicle.label, visit.vehicle.plate].filter(Boolean).join(', ');
  const before = { arrivedAt: visit.arrivedAt, others: history };
  return draftToCase(visit.draft, label, {}, before).file;
}

/** The same from the database; null when the shop has no such visit. */
export async function findCase(
  tx: Handle,
  shopId: string,
  id: string,
): Promise<{ visit: Visit; file: CaseFile } | null> {
  const own = eq(visits.shopId, shopId);
  const [visit] = await selectVisits(tx, and(own, eq(visits.id, id)), 1);
  if (!visit) return null;
  const earlier = and(
    own,
    eq(visits.vehicleId, visit.vehicle.id),
    sql`${visits.id} <> ${id}`,
    lt(visits.arrivedAt, new Date(visit.arrivedAt)),
  );
  const history = await selectVisits(tx, earlier, MOST_EARLIER);
  return { visit, file: caseOf({ visit, history }) };
}
