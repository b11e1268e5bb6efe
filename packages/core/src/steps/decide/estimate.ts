import type { EstimateLine, WorkEstimate } from '@keen/contract';

const PERCENT = 100;

/** What an estimate comes to, minor units; net and tax add up to the total. */
export interface EstimateSum {
  net: number;
  tax: number;
  total: number;
}

/**
 * Rounds half away from zero to whole minor units. A value that a binary fraction put a hair below a
 * half counts as the half.
 * @param value - minor units
 * @example roundMinor(2.5) // 3
 * @example roundMinor(-2.5) // -3
 * @example roundMinor(1.005 * 100) // 101
 */
export function roundMinor(value: number): number {
  const nudge = Math.abs(value) * Number.EPSILON * 4;
  return Math.sign(value) * Math.floor(Math.abs(value) + 0.5 + nudge);
}

/**
 * What a line comes to, minor units, as the estimate's tax mode has it.
 * @example lineMinor({ id: 'a', what: 'Tire', quantity: 4, unitMinor: 9000 }) // 36000
 */
export function lineMinor({ quantity, unitMinor }: EstimateLine): number {
  return roundMinor(quantity * unitMinor);
}

/**
 * Sums the lines of an estimate. Lines are rounded to the minor unit one by one, tax once over their
 * sum, so what is printed always adds up.
 * @param counts - which lines belong to the sum; all by default
 */
export function sumEstimate(
  { lines, taxPercent, taxMode }: Pick<WorkEstimate, 'lines' | 'taxPercent' | 'taxMode'>,
  counts: (line: EstimateLine) => boolean = () => true,
): EstimateSum {
  const sum = lines.filter(counts).reduce((total, line) => total + lineMinor(line), 0);
  if (taxMode === 'added') {
    const tax = roundMinor((sum * taxPercent) / PERCENT);
    return { net: sum, tax, total: sum + tax };
  }
  const tax = roundMinor((sum * taxPercent) / (PERCENT + taxPercent));
  return { net: sum - tax, tax, total: sum };
}

/**
 * An estimate with its lines changed; one that was signed stays as it is, and the change is a new version
 * that nobody has signed yet.
 */
export function changeLines(estimate: WorkEstimate, lines: EstimateLine[]): WorkEstimate {
  const { signed, version, ...rest } = estimate;
  return { ...rest, version: signed ? version + 1 : version, lines };
}
