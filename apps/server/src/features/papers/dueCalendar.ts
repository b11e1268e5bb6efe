import type { DueReminder } from '@keen/contract';
import { textsOf } from '@keen/core';
import { and, eq } from 'drizzle-orm';
import { createEvents } from 'ics';
import type { EventAttributes } from 'ics';
import type { Handle } from '../../db/client.ts';
import { shops, vehicles, visits } from '../../db/schema/index.ts';
import { conflict, notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';

/**
 * What is due of a visit as calendar entries of a whole day, in the customer's language (RFC 5545).
 * @throws {AppError} 409 when nothing is on the list yet
 */
export async function dueCalendar(
  db: Handle,
  actor: Actor,
  id: string,
): Promise<{ text: string; number: number }> {
  const [row] = await db
    .select()
    .from(visits)
    .innerJoin(vehicles, eq(vehicles.id, visits.vehicleId))
    .innerJoin(shops, eq(shops.id, visits.shopId))
    .where(and(eq(visits.id, id), eq(visits.shopId, actor.shopId)));
  if (!row) throw notFound('noVisit');
  const { handOver } = row.visits.draft.visit ?? {};
  const open = (handOver?.next ?? [])
    .map((reminder, place) => ({ reminder, place }))
    .filter(({ reminder }) => reminder.state === 'open');
  if (open.length === 0) throw conflict('nothingDue');
  const { papers } = textsOf(handOver?.language ?? 'en');
  const car = [row.vehicles.label, row.vehicles.plate].filter(Boolean).join(', ');
  const { error, value } = createEvents(
    open.map(({ reminder, place }): EventAttributes => ({
      // The same entry again when it is fetched again: calendars replace it.
      uid: `${row.visits.id}-${place}@keen-groove`,
      productId: 'keen-groove',
      start: dayOf(reminder),
      duration: { days: 1 },
      title: `${row.shops.name}: ${papers.next[reminder.what]}`,
      description: car,
      alarms: [{ action: 'display', description: car, trigger: { days: 3, before: true } }],
    })),
  );
  if (error) throw error;
  return { text: value ?? '', number: row.visits.number };
}

function dayOf({ on }: DueReminder): [number, number, number] {
  return on.split('-').map(Number) as [number, number, number];
}
