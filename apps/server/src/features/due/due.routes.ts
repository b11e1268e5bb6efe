import type { DueRow } from '@keen/contract';
import { desc, eq, sql } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { vehicles, visits } from '../../db/schema/index.ts';
import type { Routes } from '../../http/routes.ts';

const MOST_CARS = 2_000;

/** What the shop's cars are due for, soonest first. */
export function mountDue(routes: Routes): void {
  routes.on('get', '/due', 'read', async ({ res, actor, inShop }) => {
    res.json(await inShop((tx) => dueList(tx, actor.shopId)));
  });
}

/** Each car's latest list counts; what a later visit has put down replaces what an earlier one had. */
export async function dueList(db: Handle, shopId: string): Promise<DueRow[]> {
  const rows = await db
    .selectDistinctOn([visits.vehicleId], {
      visitId: visits.id,
      number: visits.number,
      draft: visits.draft,
      vehicle: vehicles,
    })
    .from(visits)
    .innerJoin(vehicles, eq(vehicles.id, visits.vehicleId))
    .where(
      sql`${visits.shopId} = ${shopId} and jsonb_array_length(${visits.draft} -> 'visit' -> 'handOver' -> 'next') > 0`,
    )
    .orderBy(visits.vehicleId, desc(visits.arrivedAt))
    .limit(MOST_CARS);
  return rows
    .flatMap(({ visitId, number, draft, vehicle }) =>
      (draft.visit?.handOver?.next ?? []).flatMap((look, place): DueRow[] => {
        if (look.state !== 'open') return [];
        const { label: car, plate, customer, phone } = vehicle;
        return [{ visitId, number, place, look, car, plate, customer, phone }];
      }),
    )
    .toSorted((a, b) => a.look.on.localeCompare(b.look.on) || a.number - b.number);
}
