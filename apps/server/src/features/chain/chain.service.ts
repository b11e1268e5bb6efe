import type { Chain, ChainFigures, ChainLead, InsightQuery, ShopChain } from '@keen/contract';
import { DEFAULT_SHOP_SETTINGS, withValues } from '@keen/contract';
import { desc, eq, sql } from 'drizzle-orm';
import type { Handle } from '../../db/client.ts';
import { chainLog, chains } from '../../db/schema/index.ts';
import { valuesOf } from '../../db/shopSettings.ts';
import { AppError, notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';

const MOST_EVENTS = 200;

/** What PostgreSQL says where a function of the owner refuses. */
const REFUSED = '42501';

/**
 * Asks a function of the owner that only a lead of the chain may use.
 * @throws {AppError} 403 for everybody else
 */
export async function asChainLead<T>(work: Promise<T>): Promise<T> {
  try {
    return await work;
  } catch (error) {
    if (codeOf(error) === REFUSED) throw new AppError(403, 'chain_lead_only', 'chainLeadOnly');
    throw error;
  }
}

function codeOf(error: unknown): unknown {
  if (!(error instanceof Error)) return undefined;
  return 'code' in error ? error.code : codeOf(error.cause);
}

/** The chain of the shop at hand. @throws {AppError} 404 for a shop on its own */
export async function chainHere(tx: Handle): Promise<typeof chains.$inferSelect> {
  // Row security leaves just the one.
  const [chain] = await tx.select().from(chains);
  if (!chain) throw notFound('noChain');
  return chain;
}

export async function hasChain(tx: Handle): Promise<boolean> {
  return (await tx.$count(chains)) > 0;
}

/** The chain as its leads see it. @throws {AppError} 403, 404 */
export async function oneChain(tx: Handle, { accountId }: Actor): Promise<Chain> {
  const { id, name, settled } = await chainHere(tx);
  const leads = await asChainLead(
    tx.execute<{ name: string; email: string; is_self: boolean }>(
      sql`select name, email, is_self from keen_chain_leads(${accountId})`,
    ),
  );
  const log = await tx
    .select()
    .from(chainLog)
    .where(eq(chainLog.chainId, id))
    .orderBy(desc(chainLog.at))
    .limit(MOST_EVENTS);
  return {
    id,
    name,
    settings: withValues(DEFAULT_SHOP_SETTINGS, valuesOf(settled)),
    settled: Object.keys(settled),
    leads: leads.rows.map((lead) => ({
      name: lead.name,
      email: lead.email,
      isSelf: lead.is_self,
    })),
    log: log.map(({ kind, by, what, at }) => ({ kind, by, what, at: at.toISOString() })),
  };
}

/** How each shop of the chain does: numbers only. @throws {AppError} 403 */
export async function chainFigures(
  tx: Handle,
  { accountId }: Actor,
  { from, until }: InsightQuery,
): Promise<ChainFigures> {
  const { rows } = await asChainLead(
    tx.execute<{
      shop_id: string;
      name: string;
      town: string;
      visits: number;
      counts: ChainFigures[number]['counts'];
      own: ShopChain['own'];
    }>(
      sql`select * from keen_chain_figures(${accountId}, ${from ?? null}::date, ${until ?? null}::date)`,
    ),
  );
  return rows.map(({ shop_id: shopId, name, town, visits, counts, own }) => ({
    shopId,
    name,
    town,
    visits,
    counts,
    own: Object.entries(own).map(([path, { by, at }]) => ({ path, by, at })),
  }));
}

/**
 * Makes somebody of one of the shops a lead of the chain, or takes that back.
 * @throws {AppError} 403, 404 for nobody of the chain, 409 where no lead would be left
 */
export async function setChainLead(
  tx: Handle,
  actor: Actor,
  { email, leads }: ChainLead,
): Promise<Chain> {
  const { rows } = await asChainLead(
    tx.execute<{ outcome: 'done' | 'nobody' | 'last' }>(
      sql`select keen_chain_lead(${actor.accountId}, ${email.toLowerCase()}, ${leads}) as outcome`,
    ),
  );
  const outcome = rows[0]?.outcome;
  if (outcome === 'nobody') throw notFound('nobodyInChain');
  if (outcome === 'last') throw new AppError(409, 'last_chain_lead', 'lastChainLead');
  return oneChain(tx, actor);
}
