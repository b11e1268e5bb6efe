import { eq, max } from 'drizzle-orm';
import type { Handle } from '../db/client.ts';
import { learningRuns } from '../db/schema/index.ts';
import type { Actor } from '../http/signedIn.ts';
import type { OpenArchive } from './openArchive.ts';
import type { PersonOf } from './importShop.ts';

/**
 * What a shop learned that is not here yet. Versions go on from those that are here.
 * @param isEmpty - whether the shop had no visits: then it also uses what the archive's shop used
 */
export async function importLearning(
  tx: Handle,
  { shopId }: Actor,
  archive: OpenArchive,
  personOf: PersonOf,
  isEmpty: boolean,
): Promise<void> {
  const own = eq(learningRuns.shopId, shopId);
  const [last] = await tx
    .select({ version: max(learningRuns.version) })
    .from(learningRuns)
    .where(own);
  const before = last?.version ?? null;
  let next = (before ?? 0) + 1;
  for (const { id, version, personId, at, usedSince, result } of archive.learning) {
    const isTaken = before === null;
    const [added] = await tx
      .insert(learningRuns)
      .values({
        id,
        shopId,
        personId: personOf(personId),
        version: isTaken ? version : next,
        createdAt: new Date(at),
        state: 'done',
        stage: 'trying',
        visitIds: [],
        result,
        usedSince: isEmpty && isTaken && usedSince !== null ? new Date(usedSince) : null,
      })
      .onConflictDoNothing()
      .returning({ id: learningRuns.id });
    if (added) next++;
  }
}
