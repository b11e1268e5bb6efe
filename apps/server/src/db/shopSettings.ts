import type { ChangeSettings, SettingValues, ShopChain, ShopSettings } from '@keen/contract';
import {
  changedPaths,
  DEFAULT_SHOP_SETTINGS,
  inheritSettings,
  LATER_ITEMS,
  SHARED_SETTINGS,
  sharedValues,
  shopSettingsSchema,
  withValues,
} from '@keen/contract';
import { eq } from 'drizzle-orm';
import type { Handle } from './client.ts';
import { chains, shops } from './schema/index.ts';

/** What a shop has settled itself, and what its chain has. */
export interface SettledFor {
  settings: ShopSettings | null;
  own: ShopChain['own'] | null;
  /** Null for a shop on its own. */
  settled: ShopChain['settled'] | null;
}

/** What a shop has settled itself; a setting added later has its default. */
function baseOf(settings: ShopSettings | null): ShopSettings {
  return {
    ...DEFAULT_SHOP_SETTINGS,
    ...settings,
    prices: {
      ...DEFAULT_SHOP_SETTINGS.prices,
      ...settings?.prices,
      ...(settings?.prices && { items: { ...LATER_ITEMS, ...settings.prices.items } }),
    },
  };
}

/** The values of what a chain has settled. */
export function valuesOf(settled: ShopChain['settled']): SettingValues {
  return Object.fromEntries(Object.entries(settled).map(([path, { value }]) => [path, value]));
}

/** What holds in a shop. */
export function settingsOf({ settings, own, settled }: SettledFor): ShopSettings {
  const base = baseOf(settings);
  return settled ? inheritSettings(base, valuesOf(settled), new Set(Object.keys(own ?? {}))) : base;
}

export const SETTLED_FOR = {
  settings: shops.settings,
  own: shops.ownSettings,
  settled: chains.settled,
};

export async function shopSettings(db: Handle, shopId: string): Promise<ShopSettings> {
  const [shop] = await db
    .select(SETTLED_FOR)
    .from(shops)
    .leftJoin(chains, eq(chains.id, shops.chainId))
    .where(eq(shops.id, shopId));
  return settingsOf(shop ?? { settings: null, own: null, settled: null });
}

/**
 * Settles something in a shop. What its chain has settled otherwise is the shop's own from then on; what is as the
 * chain has it is the chain's again.
 * @param by - the name of who settles it
 */
export async function changeSettings(
  tx: Handle,
  shopId: string,
  change: ChangeSettings,
  by: string,
): Promise<ShopSettings> {
  // One after the other, so that two who change different settings both keep theirs.
  await tx.select({ id: shops.id }).from(shops).where(eq(shops.id, shopId)).for('update');
  const [found] = await tx
    .select(SETTLED_FOR)
    .from(shops)
    .leftJoin(chains, eq(chains.id, shops.chainId))
    .where(eq(shops.id, shopId));
  const before = found ?? { settings: null, own: null, settled: null };
  const effective = settingsOf(before);
  const next = shopSettingsSchema.parse({ ...effective, ...change });
  const values = sharedValues(next);
  const changed = changedPaths(effective, next);
  const at = new Date().toISOString();
  const own = { ...before.own };
  const typed: SettingValues = {};
  for (const path of changed) {
    const chains = before.settled?.[path];
    if (chains && JSON.stringify(chains.value) === JSON.stringify(values[path])) {
      delete own[path];
      continue;
    }
    typed[path] = values[path];
    if (chains) own[path] = { by, at };
  }
  const shared: readonly string[] = SHARED_SETTINGS;
  const rest = Object.entries(change).filter(([key]) => !shared.includes(key));
  const settings = withValues({ ...baseOf(before.settings), ...Object.fromEntries(rest) }, typed);
  await tx.update(shops).set({ settings, ownSettings: own }).where(eq(shops.id, shopId));
  return settingsOf({ ...before, settings, own });
}

/** The shop takes its chain's values again, as far as it kept any to itself. */
export async function resetToChain(
  tx: Handle,
  shopId: string,
  paths: readonly string[],
): Promise<void> {
  const [shop] = await tx
    .select({ own: shops.ownSettings })
    .from(shops)
    .where(eq(shops.id, shopId))
    .for('update');
  const kept = Object.entries(shop?.own ?? {}).filter(([path]) => !paths.includes(path));
  await tx
    .update(shops)
    .set({ ownSettings: Object.fromEntries(kept) })
    .where(eq(shops.id, shopId));
}
