import type { ShopSettings } from '@keen/contract';
import { DEFAULT_SHOP_SETTINGS, LATER_ITEMS } from '@keen/contract';
import { eq } from 'drizzle-orm';
import type { Handle } from './client.ts';
import { shops } from './schema/index.ts';

/** What a shop has settled; a setting added later has its default. */
export function settingsOf(shop: { settings: ShopSettings | null }): ShopSettings {
  const { settings } = shop;
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

export async function shopSettings(db: Handle, shopId: string): Promise<ShopSettings> {
  const [shop] = await db
    .select({ settings: shops.settings })
    .from(shops)
    .where(eq(shops.id, shopId));
  return settingsOf(shop ?? { settings: null });
}
