import type { Instrument } from '@keen/contract';
import { and, asc, desc, eq } from 'drizzle-orm';
import type { Handle } from './client.ts';
import { instrumentChecks, instruments, people } from './schema/index.ts';

/** Older checks say little of how a gauge stands today. */
const LATEST = 100;

/** A shop's gauges by name, retired ones last, each with its latest checks. */
export async function instrumentsOf(tx: Handle, shopId: string): Promise<Instrument[]> {
  const rows = await tx
    .select()
    .from(instruments)
    .where(eq(instruments.shopId, shopId))
    .orderBy(asc(instruments.retired), asc(instruments.name));
  const list: Instrument[] = [];
  // A shop has a handful of them.
  for (const { id, name, kind, certified, block, retired, createdAt } of rows) {
    const checks = await latestChecks(tx, shopId, id);
    const since = createdAt.toISOString();
    list.push({ id, name, kind, certified, block, retired, createdAt: since, checks });
  }
  return list;
}

async function latestChecks(tx: Handle, shopId: string, instrumentId: string) {
  const { id, points, note, at, personId } = instrumentChecks;
  const rows = await tx
    .select({ id, points, note, at, by: people.name })
    .from(instrumentChecks)
    .innerJoin(people, and(eq(people.shopId, shopId), eq(people.id, personId)))
    .where(
      and(eq(instrumentChecks.shopId, shopId), eq(instrumentChecks.instrumentId, instrumentId)),
    )
    .orderBy(desc(at))
    .limit(LATEST);
  return rows.map((row) => ({ ...row, at: row.at.toISOString() }));
}
