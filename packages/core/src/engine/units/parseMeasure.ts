/**
 * Reads a number as a hand writes it: `39.5`, `39,5`, `39 3/8`, `39-3/8`, `1 1/16`, `5/16`, `-0.5`,
 * `1 903` (a space between thousands).
 * @param text - as typed
 * @returns the number, null for an empty text, NaN for what cannot be read
 * @example parseMeasure('39 3/8') // 39.375
 * @example parseMeasure('1 903') // 1903
 */
export function parseMeasure(text: string): number | null {
  const plain = text.trim().replace('−', '-').replace(',', '.');
  if (plain === '') return null;
  const fraction = /^(-?)(?:(\d+)(?:\s+|-))?(\d+)\/(\d+)$/.exec(plain);
  if (fraction) {
    const [, sign, whole, top, bottom] = fraction;
    const value = Number(whole ?? 0) + Number(top) / Number(bottom);
    return Number.isFinite(value) ? (sign ? -value : value) : Number.NaN;
  }
  if (!/^-?\d{1,3}(?:\s\d{3})+(?:\.\d+)?$|^-?(?:\d+\.?\d*|\.\d+)$/.test(plain)) return Number.NaN;
  return Number(plain.replace(/\s/g, ''));
}
