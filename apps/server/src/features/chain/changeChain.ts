import type { Chain, ChangeChain, NewShop, OpenedShop, ShopChain, Units } from '@keen/contract';
import {
  changedPaths,
  DEFAULT_PREFERENCES,
  DEFAULT_SHOP_SETTINGS,
  sharedValues,
  shopSettingsSchema,
  withValues,
} from '@keen/contract';
import { eq, sql } from 'drizzle-orm';
import { addAudit } from '../../db/audit.ts';
import { inOtherShop } from '../../db/client.ts';
import type { Handle } from '../../db/client.ts';
import { accounts, people } from '../../db/schema/index.ts';
import { shopSettings, valuesOf } from '../../db/shopSettings.ts';
import { notifyLive } from '../../db/notifyLive.ts';
import { conflict, notFound } from '../../errors.ts';
import type { Actor } from '../../http/signedIn.ts';
import { joinAccount } from '../../people/accounts.ts';
import { nameOf } from '../../people/nameOf.ts';
import { newPasswordLink } from '../../people/passwordLinks.ts';
import { asChainLead, chainHere, oneChain } from './chain.service.ts';

/**
 * Makes a chain that begins with the shop at hand. What this shop has settled holds in all of its shops, but for what
 * is this shop's alone.
 * @throws {AppError} 409 for a shop of a chain
 */
export async function makeChain(
  tx: Handle,
  actor: Actor,
  name: string,
  address: string | undefined,
): Promise<Chain> {
  const settings = await shopSettings(tx, actor.shopId);
  const values = sharedValues(settings);
  const settled = settledBy(await nameOf(tx, actor.personId), Object.keys(values), values);
  const { rows } = await tx.execute<{ id: string | null }>(
    sql`select keen_make_chain(${actor.accountId}, ${name}, ${JSON.stringify(settled)}::jsonb) as id`,
  );
  if (!rows[0]?.id) throw conflict('hasChain');
  await addAudit(tx, actor, 'chainMade', { name }, address);
  await notifyLive(tx, { shopId: actor.shopId, kind: 'settings' });
  return oneChain(tx, actor);
}

function settledBy(
  by: string,
  paths: readonly string[],
  values: Record<string, unknown>,
): ShopChain['settled'] {
  const at = new Date().toISOString();
  return Object.fromEntries(paths.map((path) => [path, { value: values[path], by, at }]));
}

/**
 * Settles something for all shops of the chain, renames it, or leaves something to the shops.
 * @throws {AppError} 403 for who does not lead it
 */
export async function settle(tx: Handle, actor: Actor, change: ChangeChain): Promise<Chain> {
  const { accountId, personId } = actor;
  await asChainLead(tx.execute(sql`select keen_lock_chain(${accountId})`));
  const chain = await chainHere(tx);
  const before = withValues(DEFAULT_SHOP_SETTINGS, valuesOf(chain.settled));
  const next = shopSettingsSchema.parse({ ...before, ...change.settings });
  const values = sharedValues(next);
  const asked = (change.settle ?? []).filter((path) => path in values && !(path in chain.settled));
  const paths = [...new Set([...changedPaths(before, next), ...asked])];
  const leave = (change.leave ?? []).filter((path) => path in chain.settled);
  const settled = {
    ...chain.settled,
    ...settledBy(await nameOf(tx, personId), paths, values),
  };
  for (const path of leave) delete settled[path];
  await tx.execute(sql`select keen_settle(
    ${accountId}, ${change.name ?? chain.name}, ${JSON.stringify(settled)}::jsonb,
    ${JSON.stringify(paths)}::jsonb, ${JSON.stringify(leave)}::jsonb)`);
  return oneChain(tx, actor);
}

/**
 * Gives a sheet of this shop, as it is now, to all shops of the chain.
 * @throws {AppError} 403 for who does not lead the chain, 404 where the shop has no such sheet of its own
 */
export async function giveSheet(tx: Handle, actor: Actor, sheetId: string): Promise<void> {
  const { rows } = await asChainLead(
    tx.execute<{ given: boolean }>(
      sql`select keen_give_sheet(${actor.accountId}, ${sheetId}) as given`,
    ),
  );
  if (!rows[0]?.given) throw notFound('noSheet');
}

/**
 * Opens one more shop, with the lead who is to run it: somebody new, who chooses a password by a link, or somebody
 * who works in another shop of the chain.
 * @throws {AppError} 403 for who does not lead the chain, 409 where the email is somebody else's or the shop is there
 */
export async function openShop(
  tx: Handle,
  actor: Actor,
  order: NewShop,
  address: string | undefined,
): Promise<OpenedShop> {
  const { shopId, name, town } = order;
  const { units } = await shopSettings(tx, actor.shopId);
  const { rows } = await asChainLead(
    tx.execute<{ opened: boolean }>(
      sql`select keen_open_shop(${actor.accountId}, ${shopId}, ${name}, ${town}) as opened`,
    ),
  );
  if (!rows[0]?.opened) throw conflict('shopIsOpen');
  await addAudit(tx, actor, 'shopOpened', { name }, address);
  return inOtherShop(tx, { from: actor.shopId, to: shopId }, () =>
    addFirstLead(tx, order, units, address),
  );
}

/** The lead of a new shop, written as that shop's. */
async function addFirstLead(
  tx: Handle,
  { shopId, leadId, leadName, leadEmail }: NewShop,
  units: Units,
  address: string | undefined,
): Promise<OpenedShop> {
  const accountId = await joinAccount(tx, { email: leadEmail, passwordHash: null });
  if (accountId === null) throw conflict('emailTaken');
  await tx.insert(people).values({
    id: leadId,
    shopId,
    accountId,
    name: leadName,
    role: 'lead',
    preferences: { ...DEFAULT_PREFERENCES, units },
  });
  const own = { shopId, personId: null };
  await addAudit(tx, own, 'personAdded', { personId: leadId, role: 'lead' }, address);
  const [account] = await tx.select().from(accounts).where(eq(accounts.id, accountId));
  const link = account?.passwordHash
    ? null
    : await newPasswordLink(tx, { shopId, personId: leadId });
  return { link };
}
