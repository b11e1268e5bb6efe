import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatMoney, minorDigits, parseMoney, plainMoney } from './money.ts';

const CURRENCIES = Intl.supportedValuesOf('currency');

describe('money', () => {
  it('knows the minor units of ISO 4217', () => {
    // ISO 4217, list one: minor units 2, 0, 3 (recalled from memory).
    expect(['EUR', 'USD', 'JPY', 'KWD'].map(minorDigits)).toEqual([2, 2, 0, 3]);
  });

  it('reads what it writes, in every currency', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CURRENCIES),
        fc.integer({ min: 0, max: 100_000_000 }),
        (currency, minor) => {
          expect(parseMoney(plainMoney(minor, currency), currency)).toBe(minor);
        },
      ),
    );
  });

  it('takes commas, blanks and whole amounts, and refuses what is finer than the currency', () => {
    expect(parseMoney('98', 'EUR')).toBe(9800);
    expect(parseMoney(' 1 200,5 ', 'EUR')).toBe(120_050);
    expect(parseMoney('98.505', 'EUR')).toBeNull();
    expect(parseMoney('98.5', 'JPY')).toBeNull();
    for (const text of ['', '-3', '1.2.3', 'ten', '99999999999999999999']) {
      expect(parseMoney(text, 'EUR')).toBeNull();
    }
  });

  it('is written with its currency, whole where it is an estimate', () => {
    expect(formatMoney(123_450, 'EUR')).toBe('€1,234.50');
    expect(formatMoney(123_450, 'EUR', 'en', true)).toBe('€1,235');
    expect(formatMoney(1_234, 'JPY')).toBe('¥1,234');
  });
});
