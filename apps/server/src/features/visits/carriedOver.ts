import { randomUUID } from 'node:crypto';
import { CARRIED_PATHS } from '@keen/contract';
import type { Entry } from '@keen/contract';
import { DEFAULT_LIMITS_MM, fieldAt, savedTurns, usedInstruments } from '@keen/core';
import { and, desc, eq, ne } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { visits } from '../../db/schema/index.ts';
import { instrumentsOf } from '../../db/instrumentRows.ts';
import { learnedConstants } from '../../db/learnedConstants.ts';
import { shopSettings } from '../../db/shopSettings.ts';
import type { Actor } from '../../http/signedIn.ts';

/** What is the shop's own: limits, the spread of its readings, what it learned, its instruments as they stand. */
export async function shopFacts(tx: Handle, { shopId }: Actor): Promise<Entry[]> {
  const { limits, readingSpread } = await shopSettings(tx, shopId);
  const { legal, advise } = limits;
  const at = new Date().toISOString();
  const list: Entry[] = [];
  if (legal !== DEFAULT_LIMITS_MM.legal || advise !== DEFAULT_LIMITS_MM.advise) {
    list.push({ id: randomUUID(), path: 'limits', value: { legal, advise }, at });
  }
  if (readingSpread) {
    list.push({ id: randomUUID(), path: 'readingSpread', value: readingSpread.mm, at });
  }
  const learned = await learnedConstants(tx, shopId);
  if (learned) list.push({ id: randomUUID(), path: 'constants', value: learned, at });
  const instruments = usedInstruments(await instrumentsOf(tx, shopId));
  if (Object.keys(instruments).length > 0) {
    list.push({ id: randomUUID(), path: 'visit.measure.instruments', value: instruments, at });
  }
  return list;
}

/** What does not change from one visit of a car to the next, so that nobody types it twice. */
export async function carriedOver(
  tx: Handle,
  vehicleId: string,
  visitId: string,
): Promise<Entry[]> {
  const [last] = await tx
    .select()
    .from(visits)
    .where(and(eq(visits.vehicleId, vehicleId), ne(visits.id, visitId)))
    .orderBy(desc(visits.arrivedAt))
    .limit(1);
  if (!last) return [];
  const at = new Date().toISOString();
  const carried = CARRIED_PATHS.map((path) => ({ path, value: fieldAt(last.draft, path) }));
  const learned = { path: 'visit.car.learned', value: savedTurns(last.draft) };
  return [...carried, ...(learned.value.length > 0 ? [learned] : [])]
    .filter(({ value }) => value !== null)
    .map(({ path, value }) => ({ id: randomUUID(), path, value, at }));
}
