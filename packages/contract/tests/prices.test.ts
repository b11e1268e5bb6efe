import { describe, expect, it } from 'vitest';
import type { PriceItem } from '../src/prices.ts';
import { DEFAULT_PRICES, LATER_ITEMS, PRICE_ITEMS, priceListSchema } from '../src/prices.ts';

const without = (...left: PriceItem[]) =>
  Object.fromEntries(
    PRICE_ITEMS.flatMap((item) =>
      left.includes(item) ? [] : [[item, DEFAULT_PRICES.items[item]]],
    ),
  );

describe('a price list', () => {
  it('from before an item asks nothing for it', () => {
    const items = without('adjustableArm', 'pressureSensor');
    const read = priceListSchema.parse({ ...DEFAULT_PRICES, items });
    expect(read.items).toEqual({ ...items, ...LATER_ITEMS });
    expect(Object.keys(read.items).toSorted()).toEqual([...PRICE_ITEMS].toSorted());
  });

  it('still needs every item that was there from the start, and none that is unknown', () => {
    const items = without('align');
    expect(priceListSchema.safeParse({ ...DEFAULT_PRICES, items }).error?.issues).toMatchObject([
      { path: ['items', 'align'] },
    ]);
    const odd = { ...DEFAULT_PRICES.items, polish: 100 };
    expect(priceListSchema.safeParse({ ...DEFAULT_PRICES, items: odd }).success).toBe(false);
    expect(priceListSchema.safeParse({ ...DEFAULT_PRICES, items: [] }).success).toBe(false);
  });
});
