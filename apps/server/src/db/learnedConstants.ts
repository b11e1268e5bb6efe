import type { LearnedConstants } from '@keen/contract';
import { and, eq, isNotNull } from 'drizzle-orm';
import type { Handle } from './client.ts';
import { learningRuns } from './schema/index.ts';

/** What the shop uses for new visits, as a visit keeps it; null where the usual constants stand. */
export async function learnedConstants(
  tx: Handle,
  shopId: string,
): Promise<LearnedConstants | null> {
  const [used] = await tx
    .select({ version: learningRuns.version, result: learningRuns.result })
    .from(learningRuns)
    .where(and(eq(learningRuns.shopId, shopId), isNotNull(learningRuns.usedSince)));
  if (!used?.result) return null;
  const { constants, lines, used: part } = used.result;
  const round = (value: number) => Number(value.toFixed(4));
  return {
    ...constants,
    version: used.version,
    lines: lines.map(({ line, rate }) => ({ line, rate: round(part * rate.value) })),
  };
}
