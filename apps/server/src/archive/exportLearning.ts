import { asc, eq } from 'drizzle-orm';
import type { Handle } from '../db/client.ts';
import { learningRuns } from '../db/schema/index.ts';

/** What the shop learned from its own cars, as the archive has it: runs that ended well. */
export async function learningToExport(tx: Handle, shopId: string) {
  const runs = await tx
    .select()
    .from(learningRuns)
    .where(eq(learningRuns.shopId, shopId))
    .orderBy(asc(learningRuns.version));
  return runs.flatMap(({ id, version, personId, createdAt, usedSince, result }) =>
    result
      ? [
          {
            id,
            version,
            personId,
            at: createdAt.toISOString(),
            usedSince: usedSince?.toISOString() ?? null,
            result,
          },
        ]
      : [],
  );
}
