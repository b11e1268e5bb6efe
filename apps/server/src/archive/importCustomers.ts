import { sql } from 'drizzle-orm';
import type { Handle } from '../db/client.ts';
import { customerMerges } from '../db/schema/index.ts';
import type { Actor } from '../http/signedIn.ts';
import type { OpenArchive } from './openArchive.ts';
import type { PersonOf } from './importShop.ts';

/**
 * Names of customers that were joined. The cars themselves bring the name that stayed.
 * @param carOf - the car here, by its id in the archive
 */
export async function importCustomers(
  tx: Handle,
  { shopId }: Actor,
  archive: OpenArchive,
  carOf: ReadonlyMap<string, string>,
  personOf: PersonOf,
): Promise<void> {
  for (const { id, name, mergedName, cars, personId, at } of archive.customers) {
    await tx
      .insert(customerMerges)
      .values({
        id,
        shopId,
        name,
        key: sql`trim(keen_plain(${name}))`,
        mergedName,
        mergedKey: sql`trim(keen_plain(${mergedName}))`,
        cars: cars.flatMap((car) => {
          const here = carOf.get(car.id.toLowerCase());
          return here ? [{ id: here, customer: car.customer }] : [];
        }),
        personId: personOf(personId),
        createdAt: new Date(at),
      })
      .onConflictDoNothing();
  }
}
