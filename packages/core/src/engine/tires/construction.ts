/** How the cords of a tire lie. */
export type Construction = 'radial' | 'bias' | 'belted';

const LETTERS: Record<string, Construction> = {
  R: 'radial',
  ZR: 'radial',
  D: 'bias',
  '-': 'bias',
  B: 'belted',
};

/**
 * The construction that a size names: R (or ZR) radial, D or a dash bias ply, B bias belted.
 * @returns null where the size does not say
 * Source: size designations of ISO 4000-1 and 49 CFR 571.139 (recalled from memory)
 */
export function constructionOf(size: string): Construction | null {
  const said = /\d(ZR|[RBD-])\d/i.exec(size.trim())?.[1];
  return said ? (LETTERS[said.toUpperCase()] ?? null) : null;
}
