/** A part of a number of cases, with its 95 % interval. */
export interface Share {
  of: number;
  count: number;
  /** 0 to 1. */
  part: number;
  low: number;
  high: number;
  /** The interval is so wide that the part says nothing. */
  isTooFew: boolean;
}

/** Standard normal points that hold 95 and 99 of 100. */
const Z = { usual: 1.959964, strict: 2.575829 } as const;
/** An interval wider than this is too few cases to tell. */
const WIDEST = 0.4;

/**
 * What part of some cases was so.
 * @param count - of them
 * @param of - all cases, 0 or more
 * @param sureness - of the interval: 95 %, or 99 % where many shares are looked at
 * Source: Wilson's interval, NIST/SEMATECH e-Handbook of Statistical Methods, 7.2.4.1.
 */
export function shareOf(count: number, of: number, sureness: keyof typeof Z = 'usual'): Share {
  const z = Z[sureness];
  if (of === 0) return { of, count, part: 0, low: 0, high: 1, isTooFew: true };
  const part = count / of;
  const square = (z * z) / of;
  const middle = (part + square / 2) / (1 + square);
  const half = (z * Math.sqrt((part * (1 - part)) / of + square / (4 * of))) / (1 + square);
  const low = Math.max(0, middle - half);
  const high = Math.min(1, middle + half);
  return { of, count, part, low, high, isTooFew: high - low > WIDEST };
}
