import type { PriceItem, PriceList } from '@keen/contract';
import type { TableTexts } from '../../words/screens/index.ts';
import { parseMoney, plainMoney } from './money.ts';

/** What is wrong with a line of a price table. */
export interface PriceFault {
  /** Line of the file, the heading is 1. */
  line: number;
  expected: string;
}

/** A price list as a table: a heading, then an item and its price a line. */
export function priceRows({ items, currency }: PriceList): string[][] {
  return [
    ['item', 'price', 'currency'],
    ...Object.entries(items).map(([item, minor]) => [item, plainMoney(minor, currency), currency]),
  ];
}

/**
 * Reads a price table: `item`, `price` and, where it is there, `currency`, one item a line. Items that
 * are not in it keep their price.
 * @param rows - cells as text, the heading first
 * @param say - what a line should have been, in the language of the page
 * @returns the list with what was read, and every line that was left out with its reason
 */
export function readPriceRows(
  rows: readonly (readonly string[])[],
  list: PriceList,
  say: TableTexts,
): { list: PriceList; read: number; faults: PriceFault[] } {
  const [heading = [], ...lines] = rows;
  const names = heading.map((cell) => cell.trim().toLowerCase());
  const [itemAt, priceAt, currencyAt] = ['item', 'price', 'currency'].map((name) =>
    names.indexOf(name),
  ) as [number, number, number];
  if (itemAt < 0 || priceAt < 0) {
    return { list, read: 0, faults: [{ line: 1, expected: say.priceHeading }] };
  }
  const items = { ...list.items };
  const faults: PriceFault[] = [];
  let read = 0;
  lines.forEach((cells, i) => {
    const line = i + 2;
    if (cells.every((cell) => cell.trim() === '')) return;
    const item = cells[itemAt]?.trim() ?? '';
    const currency = currencyAt < 0 ? '' : (cells[currencyAt]?.trim().toUpperCase() ?? '');
    const minor = parseMoney(cells[priceAt] ?? '', list.currency);
    if (!(item in items)) {
      faults.push({ line, expected: say.priceItem(Object.keys(items).join(', ')) });
    } else if (currency !== '' && currency !== list.currency) {
      faults.push({ line, expected: say.priceCurrency(list.currency) });
    } else if (minor === null) {
      faults.push({ line, expected: say.price(plainMoney(9850, list.currency)) });
    } else {
      items[item as PriceItem] = minor;
      read += 1;
    }
  });
  return { list: { ...list, items }, read, faults };
}
