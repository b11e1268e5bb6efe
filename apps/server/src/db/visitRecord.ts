import type { Decision, Visit } from '@keen/contract';
import type { InferSelectModel } from 'drizzle-orm';
import type { decisions, vehicles, visits } from './schema/index.ts';
import { vehicleRecord } from './vehicleRecord.ts';

type VisitRow = InferSelectModel<typeof visits>;
type VehicleRow = InferSelectModel<typeof vehicles>;
type DecisionRow = InferSelectModel<typeof decisions>;
type DecisionSummary = Omit<DecisionRow, 'diagnosis' | 'forecast'>;

/** A visit as the API tells it. */
export function visitRecord(
  visit: VisitRow,
  vehicle: VehicleRow,
  decision: DecisionSummary | null,
): Visit {
  return {
    id: visit.id,
    number: visit.number,
    vehicle: vehicleRecord(vehicle, visit.draft.vehicle?.drive ?? null),
    arrivedAt: visit.arrivedAt.toISOString(),
    closedAt: visit.closedAt?.toISOString() ?? null,
    draft: visit.draft,
    seq: visit.seq,
    waits: visit.draft.visit?.waits ?? null,
    decision: decision && decisionSummary(decision),
  };
}

export function decisionRecord(row: DecisionRow): Decision {
  return { ...decisionSummary(row), diagnosis: row.diagnosis };
}

function decisionSummary(row: DecisionSummary): Omit<Decision, 'diagnosis'> {
  return {
    id: row.id,
    action: row.action,
    advised: row.advised,
    replace: row.replace,
    answer: row.answer,
    reason: row.reason,
    entrySeq: row.entrySeq,
    personId: row.personId,
    at: row.createdAt.toISOString(),
  };
}
