import type { DuePage } from '@keen/contract';
import { dueQuerySchema } from '@keen/contract';
import { and, asc, eq, lte, sql } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { dueRow } from '../../db/dueRow.ts';
import { dueLooks, vehicles } from '../../db/schema/index.ts';
import type { Routes } from '../../http/routes.ts';
import { validQuery } from '../../http/validate.ts';

const PAGE = 100;

/** What the shop's cars are due for, soonest first. */
export function mountDue(routes: Routes): void {
  routes.on('get', '/due', 'read', async ({ req, res, actor, lookAside }) => {
    const { until, after } = validQuery(dueQuerySchema, req);
    res.json(await lookAside((tx) => duePage(tx, actor.shopId, until, after)));
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
    .select({ due: dueLooks, vehicle: vehicles })
    .from(dueLooks)
    .innerJoin(vehicles, eq(vehicles.id, dueLooks.vehicleId))
    .where(
      and(
        eq(dueLooks.shopId, shopId),
        until === undefined ? undefined : lte(dueLooks.dueOn, until),
        day === undefined
          ? undefined
          : sql`(${dueLooks.dueOn}, ${dueLooks.number}, ${dueLooks.place}) > (${day}::date, ${Number(number)}::int, ${Number(place)}::int)`,
      ),
    )
    .orderBy(asc(dueLooks.dueOn), asc(dueLooks.number), asc(dueLooks.place))
    .limit(PAGE + 1);
  const page = rows.slice(0, PAGE);
  const last = rows.length > PAGE ? page.at(-1)!.due : null;
  return {
    rows: page.map(({ due, vehicle }) => dueRow(due, vehicle)),
    after: last && `${last.dueOn}.${last.number}.${last.place}`,
  };
}
