import type { EstimateLine, PricePackage } from '@keen/contract';
import { roundMinor } from './estimate.ts';

const PERCENT = 100;

/**
 * Whether a package fits an estimate: each of its items stands there by the price list, and none of them
 * is in a package already.
 */
export function packageFits(lines: readonly EstimateLine[], pack: PricePackage): boolean {
  return pack.items.every((item) =>
    lines.some((line) => line.item === item && line.pack === undefined),
  );
}

/** The lines with the package's part taken off each of its items, rounded to the minor unit. */
export function applyPackage(lines: readonly EstimateLine[], pack: PricePackage): EstimateLine[] {
  if (!packageFits(lines, pack)) return [...lines];
  return lines.map((line) =>
    line.item && line.pack === undefined && pack.items.includes(line.item)
      ? {
          ...line,
          pack: pack.name,
          unitMinor: roundMinor((line.unitMinor * (PERCENT - pack.offPercent)) / PERCENT),
        }
      : line,
  );
}
