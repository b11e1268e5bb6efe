import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import type { Handle } from './client.ts';
import { customerMerges } from './schema/index.ts';

/** Joined names lead on to others at most so often. */
const MOST_STEPS = 5;

/** What a customer is called: the name as typed, or the one that it was joined to. */
export async function joinedName(tx: Handle, shopId: string, typed: string): Promise<string> {
  let name = typed;
  for (let step = 0; step < MOST_STEPS && name !== ''; step++) {
    const [merge] = await tx
      .select({ name: customerMerges.name })
      .from(customerMerges)
      .where(
        and(
          eq(customerMerges.shopId, shopId),
          sql`${customerMerges.mergedKey} = trim(keen_plain(${name}))`,
          isNull(customerMerges.undoneAt),
        ),
      )
      .orderBy(desc(customerMerges.createdAt))
      .limit(1);
    if (!merge) return name;
    name = merge.name;
  }
  return name;
}
