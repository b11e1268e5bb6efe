import type { Visit } from '@keen/contract';
import { desc, eq, getTableColumns, sql } from 'drizzle-orm';
import type { and } from 'drizzle-orm';
import type { Handle } from './client.ts';
import { decisions, vehicles, visits } from './schema/index.ts';
import { visitRecord } from './visitRecord.ts';

/** Visits as the API tells them, latest first. */
export async function selectVisits(
  db: Handle,
  scope: ReturnType<typeof and>,
  most: number,
): Promise<Visit[]> {
  return (await rowsQuery(db, scope, most)).map(rowRecord);
}

/** A row of the query as the API tells it. */
export function rowRecord(row: Awaited<ReturnType<typeof rowsQuery>>[number]): Visit {
  return visitRecord(row.visits, row.vehicles, row.latest);
}

/** Visits with their car and their latest decision, latest first. */
export function rowsQuery(db: Handle, scope: ReturnType<typeof and>, most: number) {
  // Without diagnoses and forecasts: a list does not carry hundreds of them.
  const latest = db
    .select(summaryOf(getTableColumns(decisions)))
    .from(decisions)
    .where(eq(decisions.visitId, visits.id))
    .orderBy(desc(decisions.createdAt))
    .limit(1)
    .as('latest');
  return db
    .select()
    .from(visits)
    .innerJoin(vehicles, eq(vehicles.id, visits.vehicleId))
    .leftJoinLateral(latest, sql`true`)
    .where(scope)
    .orderBy(desc(visits.arrivedAt), desc(visits.number))
    .limit(most);
}

function summaryOf<T extends { diagnosis: unknown; forecast: unknown }>(
  columns: T,
): Omit<T, 'diagnosis' | 'forecast'> {
  const rest: Partial<T> = { ...columns };
  delete rest.diagnosis;
  delete rest.forecast;
  return rest as Omit<T, 'diagnosis' | 'forecast'>;
}
