/** Shims from stock, stacked. */
export interface ShimPack {
  /** Thicknesses to stack, thickest first, mm; empty for none. */
  shims: number[];
  total: number;
}

const MOST_SHIMS = 4;

/**
 * The stack of at most four shims from stock that comes nearest to a thickness; of equally near ones
 * the one with fewer shims. Any number of each thickness is taken to be there.
 * @param wanted - mm; a thickness to take out is asked for by its size
 * @param stock - thicknesses, mm, above 0
 * @example shimPack(2.4, [0.5, 1, 2]) // { shims: [2, 0.5], total: 2.5 }
 */
export function shimPack(wanted: number, stock: readonly number[]): ShimPack {
  const sizes = [...new Set(stock)].toSorted((a, b) => b - a);
  let best: ShimPack = { shims: [], total: 0 };
  const isBetter = (shims: readonly number[], total: number) => {
    const gain = Math.abs(best.total - wanted) - Math.abs(total - wanted);
    return gain > 1e-9 || (Math.abs(gain) <= 1e-9 && shims.length < best.shims.length);
  };
  const stack = (shims: readonly number[], total: number, first: number): void => {
    if (isBetter(shims, total)) best = { shims: [...shims], total };
    if (shims.length === MOST_SHIMS || total >= wanted) return;
    for (let i = first; i < sizes.length; i++) stack([...shims, sizes[i]!], total + sizes[i]!, i);
  };
  stack([], 0, 0);
  return best;
}
