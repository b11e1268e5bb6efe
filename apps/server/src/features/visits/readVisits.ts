import type { CaseFile, Visit, VisitDetail } from '@keen/contract';
import { draftToCase } from '@keen/core';
import { and, asc, desc, eq, getTableColumns, inArray, isNull, ne } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { entryRecord } from '../../db/entryRecord.ts';
import { decisions, entries, vehicles, visits } from '../../db/schema/index.ts';
import { notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { decisionRecord, visitRecord } from './visitRecord.ts';

const LIST_LIMIT = 500;

/** The shop's visits, latest first: the open ones, or all. */
export async function listVisits(db: Handle, actor: Actor, all: boolean): Promise<Visit[]> {
  const scope = all
    ? eq(visits.shopId, actor.shopId)
    : and(eq(visits.shopId, actor.shopId), isNull(visits.closedAt));
  return selectVisits(db, scope);
}

async function selectVisits(db: Handle, scope: ReturnType<typeof and>): Promise<Visit[]> {
  const rows = await db
    .select()
    .from(visits)
    .innerJoin(vehicles, eq(vehicles.id, visits.vehicleId))
    .where(scope)
    .orderBy(desc(visits.arrivedAt))
    .limit(LIST_LIMIT);
  const latest = await latestDecisions(
    db,
    rows.map((row) => row.visits.id),
  );
  return rows.map((row) =>
    visitRecord(row.visits, row.vehicles, latest.get(row.visits.id) ?? null),
  );
}

async function latestDecisions(db: Handle, visitIds: string[]) {
  if (visitIds.length === 0) return new Map<string, never>();
  // Without the diagnoses: a list does not carry hundreds of them.
  const columns = omitDiagnosis(getTableColumns(decisions));
  const rows = await db
    .selectDistinctOn([decisions.visitId], columns)
    .from(decisions)
    .where(inArray(decisions.visitId, visitIds))
    .orderBy(decisions.visitId, desc(decisions.createdAt));
  return new Map(rows.map((row) => [row.visitId, row]));
}

function omitDiagnosis<T extends { diagnosis: unknown }>(columns: T): Omit<T, 'diagnosis'> {
  const rest: Partial<T> = { ...columns };
  delete rest.diagnosis;
  return rest as Omit<T, 'diagnosis'>;
}

/** One visit with its entries, decisions and the earlier visits of the same car. */
export async function visitDetail(db: Handle, actor: Actor, id: string): Promise<VisitDetail> {
  const own = eq(visits.shopId, actor.shopId);
  const [visit] = await selectVisits(db, and(own, eq(visits.id, id)));
  if (!visit) throw notFound('visit');
  const kept = await db
    .select()
    .from(entries)
    .where(eq(entries.visitId, id))
    .orderBy(asc(entries.seq));
  const decided = await db
    .select()
    .from(decisions)
    .where(eq(decisions.visitId, id))
    .orderBy(asc(decisions.createdAt));
  const history = await selectVisits(
    db,
    and(own, eq(visits.vehicleId, visit.vehicle.id), ne(visits.id, id)),
  );
  return {
    visit,
    entries: kept.map(entryRecord),
    decisions: decided.map(decisionRecord),
    history,
  };
}

/** The visit as a case file. */
export function caseOf(visit: Visit): CaseFile {
  const label = [visit.vehicle.label, visit.vehicle.plate].filter(Boolean).join(', ');
  return draftToCase(visit.draft, label).file;
}
