import { sql } from 'drizzle-orm';
import type { Handle } from './client.ts';
import { vehicles } from './schema/index.ts';

/**
 * The cars that some entries stand for: an entry that was joined to another car is that car.
 * @returns each once, in the order of the entries; those that the shop does not have are left out
 */
export async function livingCars(
  db: Handle,
  shopId: string,
  ids: readonly string[],
): Promise<string[]> {
  if (ids.length === 0) return [];
  const { rows } = await db.execute<{ id: string; living: string }>(sql`
    with recursive chain as (
      select id, id as living, merged_into from ${vehicles}
      where shop_id = ${shopId} and id in (${sql.join(
        ids.map((id) => sql`${id}::uuid`),
        sql`, `,
      )})
      union
      select chain.id, up.id, up.merged_into from chain join ${vehicles} as up
        on up.shop_id = ${shopId} and up.id = chain.merged_into
    )
    select id, living from chain where merged_into is null
  `);
  const living = new Map(rows.map((row) => [row.id, row.living]));
  return [...new Set(ids.flatMap((id) => living.get(id) ?? []))];
}
