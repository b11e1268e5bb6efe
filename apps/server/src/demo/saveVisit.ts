import type { LivedVisit } from '@keen/demo';
import type { Handle } from '../db/client.ts';
import { decisions, entries, visits } from '../db/schema/index.ts';

/** A made-up visit; one of today may still be open. */
export type MadeUpVisit = Omit<LivedVisit, 'closedAt'> & {
  vehicleId: string;
  closedAt: string | null;
};

/** Numbers of visits in the order in which cars arrived, from 1. */
export function visitNumbers(
  visits: readonly { id: string; arrivedAt: string }[],
): ReadonlyMap<string, number> {
  const ordered = visits.toSorted(
    (a, b) => a.arrivedAt.localeCompare(b.arrivedAt) || a.id.localeCompare(b.id),
  );
  return new Map(ordered.map(({ id }, index) => [id, index + 1]));
}

/** Writes a made-up visit with its entries and what was decided. */
export async function saveVisit(
  tx: Handle,
  shopId: string,
  number: number,
  { id, vehicleId, personId, draft, decision, ...visit }: MadeUpVisit,
): Promise<void> {
  await tx.insert(visits).values({
    id,
    shopId,
    vehicleId,
    number,
    arrivedAt: new Date(visit.arrivedAt),
    closedAt: visit.closedAt === null ? null : new Date(visit.closedAt),
    draft,
    seq: visit.entries.length,
  });
  await tx.insert(entries).values(
    visit.entries.map((entry, i) => ({
      ...entry,
      shopId,
      visitId: id,
      seq: i + 1,
      personId,
      at: new Date(entry.at),
    })),
  );
  if (decision) {
    const createdAt = new Date(decision.createdAt);
    await tx.insert(decisions).values({ ...decision, createdAt, shopId, visitId: id, personId });
  }
}
