import type { DuePage } from '@keen/contract';
import { dueQuerySchema } from '@keen/contract';
import { and, asc, eq, lte, sql } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { dueRow } from '../../db/dueRow.ts';
import { reminders, vehicles } from '../../db/schema/index.ts';
import type { Routes } from '../../http/routes.ts';
import { validQuery } from '../../http/validate.ts';

const PAGE = 100;

/** What the shop's cars are due for, soonest first. */
export function mountDue(routes: Routes): void {
  routes.on('get', '/due', 'read', async ({ req, res, actor, readStandby }) => {
    const { until, after } = validQuery(dueQuerySchema, req);
    res.json(await readStandby((tx) => duePage(tx, actor.shopId, until, after)));
  });
}

/**
 * A page of what is due, each car by its latest list.
 * @param until - the last day that counts; all of them when left out
 * @param after - what the page before ended with
 */
async function duePage(
  db: Handle,
  shopId: string,
  until: string | undefined,
  after: string | undefined,
): Promise<DuePage> {
  const [day, number, place] = after?.split('.') ?? [];
  const rows = await db
    .select({ due: reminders, vehicle: vehicles })
    .from(reminders)
    .innerJoin(vehicles, eq(vehicles.id, reminders.vehicleId))
    .where(
      and(
        eq(reminders.shopId, shopId),
        until === undefined ? undefined : lte(reminders.dueOn, until),
        day === undefined
          ? undefined
          : sql`(${reminders.dueOn}, ${reminders.number}, ${reminders.place}) > (${day}::date, ${Number(number)}::int, ${Number(place)}::int)`,
      ),
    )
    .orderBy(asc(reminders.dueOn), asc(reminders.number), asc(reminders.place))
    .limit(PAGE + 1);
  const page = rows.slice(0, PAGE);
  const last = rows.length > PAGE ? page.at(-1)!.due : null;
  return {
    rows: page.map(({ due, vehicle }) => dueRow(due, vehicle)),
    after: last && `${last.dueOn}.${last.number}.${last.place}`,
  };
}
