import { shopSettingsSchema } from './shopSettings.ts';
import type { ShopSettings } from './shopSettings.ts';
import { DEFAULT_PRICES } from './prices.ts';

/** What a chain may settle for all its shops; the rest is each shop's own, such as its address. */
export const SHARED_SETTINGS = [
  'prices',
  'limits',
  'houseRules',
  'readingOrder',
  'comebackKm',
  'units',
  'sheetNote',
  'secondFactorForLeads',
  'retention',
] as const satisfies readonly (keyof ShopSettings)[];

/** Amounts mean something in one currency only. */
const AMOUNTS = ['prices.items.', 'prices.labour'];
const CURRENCY = 'prices.currency';

/** A setting by its path, such as `prices.items.align`; a list is one value. */
export type SettingValues = Record<string, unknown>;

const isGroup = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Settings that a chain may settle, each by its path. */
export function sharedValues(settings: Partial<ShopSettings>): SettingValues {
  const values: SettingValues = {};
  const add = (path: string, value: unknown) => {
    if (!isGroup(value)) values[path] = value;
    else for (const [key, inner] of Object.entries(value)) add(`${path}.${key}`, inner);
  };
  for (const key of SHARED_SETTINGS) if (key in settings) add(key, settings[key]);
  return values;
}

const isSame = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** Paths at which settings differ that a chain may settle. */
export function changedPaths(before: ShopSettings, after: ShopSettings): string[] {
  const [old, fresh] = [sharedValues(before), sharedValues(after)];
  return Object.keys(fresh).filter((path) => !isSame(old[path], fresh[path]));
}

/**
 * What holds in a shop of a chain: what the chain has settled, but for what the shop keeps to itself. Amounts of
 * another currency are not taken over.
 * @param own - paths that the shop keeps to itself
 */
export function inheritSettings(
  shop: ShopSettings,
  chain: SettingValues,
  own: ReadonlySet<string>,
): ShopSettings {
  const taken = Object.entries(chain).filter(([path]) => !own.has(path));
  if (taken.length === 0) return shop;
  const chains = chain[CURRENCY] ?? DEFAULT_PRICES.currency;
  const isShops = own.has(CURRENCY) || !(CURRENCY in chain);
  const isForeign = isShops && shop.prices.currency !== chains;
  const isTaken = (path: string) =>
    !isForeign || !AMOUNTS.some((amount) => path.startsWith(amount));
  return withValues(shop, Object.fromEntries(taken.filter(([path]) => isTaken(path))));
}

/** Settings with some values by their paths; as they were where the whole would not be settings any more. */
export function withValues(settings: ShopSettings, values: SettingValues): ShopSettings {
  const copy = structuredClone(settings) as unknown as Record<string, unknown>;
  for (const [path, value] of Object.entries(values)) put(copy, path.split('.'), value);
  const checked = shopSettingsSchema.safeParse(copy);
  return checked.success ? checked.data : settings;
}

function put(group: Record<string, unknown>, [key = '', ...rest]: string[], value: unknown): void {
  const inner = group[key];
  if (rest.length === 0) group[key] = value;
  else if (isGroup(inner)) put(inner, rest, value);
}
