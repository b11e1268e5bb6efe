import { and, asc, eq, isNull } from 'drizzle-orm';
import type { Handle } from '../db/client.ts';
import { customerMerges } from '../db/schema/index.ts';

/** Names of customers that were joined, as the archive has them. */
export async function joinedCustomers(tx: Handle, shopId: string) {
  const merges = await tx
    .select()
    .from(customerMerges)
    .where(and(eq(customerMerges.shopId, shopId), isNull(customerMerges.undoneAt)))
    .orderBy(asc(customerMerges.createdAt));
  return merges.map(({ id, name, mergedName, cars, personId, createdAt }) => ({
    id,
    name,
    mergedName,
    cars,
    personId,
    at: createdAt.toISOString(),
  }));
}
