import { isDeepStrictEqual } from 'node:util';
import { asc, desc, eq } from 'drizzle-orm';
import type { Handle } from '../db/client.ts';
import { idsFor } from '../db/idsFor.ts';
import { chainSheets, specSheets } from '../db/schema/index.ts';
import type { Actor } from '../http/signedIn.ts';

/**
 * The shop's specification sheets as the archive has them, every revision. A sheet that holds here as the chain has it
 * comes along as it is now, entered by who writes the archive, so that a shop that leaves the chain misses nothing.
 */
export async function sheetsToExport(tx: Handle, { shopId, personId }: Actor) {
  const idOf = idsFor(shopId);
  const own = await tx
    .select()
    .from(specSheets)
    .where(eq(specSheets.shopId, shopId))
    .orderBy(asc(specSheets.sheetId), asc(specSheets.revision));
  const latest = new Map(own.map((row) => [row.sheetId, row]));
  const given = await tx
    .selectDistinctOn([chainSheets.sheetId])
    .from(chainSheets)
    .orderBy(chainSheets.sheetId, desc(chainSheets.revision));
  const followed = given.flatMap((row) => {
    const before = latest.get(row.sheetId);
    if (before && !before.followsChain) return [];
    if (before && before.retired === row.retired && isDeepStrictEqual(before.sheet, row.sheet)) {
      return [];
    }
    const revision = Math.max(row.revision, (before?.revision ?? 0) + 1);
    // An id of the shop's: another shop of the chain may bring the same sheet to the same place.
    return [
      { ...row, id: idOf(row.id), revision, personId, createdAt: row.at, followsChain: true },
    ];
  });
  return [...own, ...followed].map((row) => ({
    id: row.sheetId,
    revisionId: row.id,
    revision: row.revision,
    sheet: row.sheet,
    retired: row.retired,
    ...(row.followsChain && { followsChain: true }),
    personId: row.personId,
    enteredAt: row.createdAt.toISOString(),
  }));
}
