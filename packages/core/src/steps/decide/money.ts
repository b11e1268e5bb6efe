/**
 * Decimals of a currency's minor unit, by ISO 4217 as the platform knows it: EUR 2, JPY 0, KWD 3.
 * @param currency - ISO 4217
 * @example minorDigits('JPY') // 0
 */
export function minorDigits(currency: string): number {
  return (
    new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions()
      .maximumFractionDigits ?? 2
  );
}

/**
 * Writes an amount with its currency.
 * @param minor - minor units
 * @param isWhole - leaves the minor part out, for amounts that are estimates
 * @param currency - ISO 4217
 * @param locale - BCP 47
 * @example formatMoney(9850, 'EUR') // '€98.50'
 */
export function formatMoney(
  minor: number,
  currency: string,
  locale = 'en',
  isWhole = false,
): string {
  const digits = minorDigits(currency);
  const format = new Intl.NumberFormat(locale, {
    style: 'currency',
    currency,
    // A shop has one currency: its own sign needs no country before it.
    currencyDisplay: 'narrowSymbol',
    ...(isWhole ? { maximumFractionDigits: 0 } : {}),
  });
  return format.format(minor / 10 ** digits);
}

/**
 * Reads an amount as it is typed: 98, 98.50, 98,50, 1 200.
 * @param text - as typed
 * @param currency - ISO 4217
 * @returns minor units, null when it is not an amount or finer than the currency has
 * @example parseMoney('98,50', 'EUR') // 9850
 * @example parseMoney('98.505', 'EUR') // null
 */
export function parseMoney(text: string, currency: string): number | null {
  const plain = text.trim().replace(/\s/g, '').replace(',', '.');
  const digits = minorDigits(currency);
  const parts = /^(\d+)(?:\.(\d+))?$/.exec(plain);
  if (!parts) return null;
  const fraction = parts[2] ?? '';
  if (fraction.length > digits) return null;
  const minor = Number(parts[1]! + fraction.padEnd(digits, '0'));
  return Number.isSafeInteger(minor) ? minor : null;
}

/**
 * An amount as it stands in a field: without its currency.
 * @param minor - minor units
 * @param currency - ISO 4217
 * @example plainMoney(9850, 'EUR') // '98.50'
 */
export function plainMoney(minor: number, currency: string): string {
  const digits = minorDigits(currency);
  return (minor / 10 ** digits).toFixed(digits);
}
