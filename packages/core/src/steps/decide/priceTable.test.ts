import { DEFAULT_PRICES } from '@keen/contract';
import { describe, expect, it } from 'vitest';
import { ENGLISH_SCREENS } from '../../../tests/englishScreens.ts';
import { priceRows, readPriceRows } from './priceTable.ts';

describe('the price list as a table', () => {
  it('comes in again as it went out', () => {
    const { list, read, faults } = readPriceRows(
      priceRows(DEFAULT_PRICES),
      {
        ...DEFAULT_PRICES,
        items: { ...DEFAULT_PRICES.items, align: 1, check: 2 },
      },
      ENGLISH_SCREENS.tables,
    );
    expect(list).toEqual(DEFAULT_PRICES);
    expect(read).toBe(Object.keys(DEFAULT_PRICES.items).length);
    expect(faults).toEqual([]);
  });

  it('keeps what is right and says what is wrong, line by line', () => {
    const { list, read, faults } = readPriceRows(
      [
        ['Price', 'Item', 'Currency'],
        ['95,50', 'align', ''],
        ['free', 'check', 'EUR'],
        ['10', 'coffee', 'EUR'],
        ['10', 'check', 'USD'],
        [''],
      ],
      DEFAULT_PRICES,
      ENGLISH_SCREENS.tables,
    );
    expect(list.items).toEqual({ ...DEFAULT_PRICES.items, align: 9_550 });
    expect(read).toBe(1);
    expect(faults.map(({ line }) => line)).toEqual([3, 4, 5]);
    expect(faults[0]!.expected).toBe('a price such as 98.50');
    expect(readPriceRows([['a', 'b']], DEFAULT_PRICES, ENGLISH_SCREENS.tables).faults).toHaveLength(
      1,
    );
  });
});
