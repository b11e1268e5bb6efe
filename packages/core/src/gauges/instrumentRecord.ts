import type { InstrumentKind } from '@keen/contract/words';
import { fTail } from './fTail.ts';
import { INSTRUMENT_FACTS } from './instrumentFacts.ts';

/** A check: what each place is known to be and what the instrument said, mm or degrees. */
export interface Check {
  /** UTC. */
  at: string;
  points: readonly { known: number; read: number }[];
}

/** What the checks of an instrument say of it; mm for a depth gauge, else degrees. */
export interface InstrumentRecord {
  /** Oldest first: how far it was off on the whole, and at its worst place, sign kept. */
  errors: { at: string; mean: number; worst: number }[];
  /** By its latest check; never where there is none. */
  state: 'good' | 'off' | 'never';
  /** As far as it may be off. */
  limit: number;
  /** Change of its error in a year with its 95 % interval; null while there are too few checks to tell. */
  drift: { perYear: number; low: number; high: number } | null;
  /** What its error adds to the uncertainty of what it measures: root mean square over the latest checks. */
  errorSd: number;
}

/** Fewer checks, or fewer days, tell no drift. */
export const LEAST_CHECKS = 5;
const LEAST_DAYS = 14;
/** What it did longer ago does not count. */
const LATEST = 10;
const DAY_MS = 86_400_000;
const YEAR_DAYS = 365.25;
/** Two-sided. */
const CHANCE = 0.05;

/** @param checks - in any order; those without a place are left out */
export function instrumentRecord(kind: InstrumentKind, checks: readonly Check[]): InstrumentRecord {
  const limit = INSTRUMENT_FACTS[kind].mostOff;
  const errors = checks
    .filter(({ points }) => points.length > 0)
    .toSorted((a, b) => a.at.localeCompare(b.at))
    .map(({ at, points }) => {
      const off = points.map(({ known, read }) => read - known);
      const mean = off.reduce((sum, each) => sum + each, 0) / off.length;
      const worst = off.reduce((far, each) => (Math.abs(each) > Math.abs(far) ? each : far), 0);
      return { at, mean, worst };
    });
  const last = errors.at(-1);
  const latest = errors.slice(-LATEST);
  const squares = latest.reduce((sum, { mean }) => sum + mean ** 2, 0);
  return {
    errors,
    // What is shown to two decimals is judged to two decimals.
    state: !last ? 'never' : Math.abs(last.worst) > limit + 0.005 ? 'off' : 'good',
    limit,
    drift: driftOf(errors),
    errorSd: latest.length > 0 ? Math.sqrt(squares / latest.length) : 0,
  };
}

/** A straight line through the errors. Source: NIST/SEMATECH e-Handbook of Statistical Methods, 4.1.4.1. */
function driftOf(errors: InstrumentRecord['errors']): InstrumentRecord['drift'] {
  const count = errors.length;
  if (count < LEAST_CHECKS) return null;
  const days = errors.map(({ at }) => Date.parse(at) / DAY_MS);
  if (days.at(-1)! - days[0]! < LEAST_DAYS) return null;
  const meanDay = days.reduce((sum, day) => sum + day, 0) / count;
  const meanError = errors.reduce((sum, { mean }) => sum + mean, 0) / count;
  const width = days.reduce((sum, day) => sum + (day - meanDay) ** 2, 0);
  const slope =
    errors.reduce((sum, { mean }, i) => sum + (days[i]! - meanDay) * (mean - meanError), 0) / width;
  const left = errors.reduce(
    (sum, { mean }, i) => sum + (mean - meanError - slope * (days[i]! - meanDay)) ** 2,
    0,
  );
  const half = tPoint(count - 2) * Math.sqrt(left / (count - 2) / width);
  return {
    perYear: slope * YEAR_DAYS,
    low: (slope - half) * YEAR_DAYS,
    high: (slope + half) * YEAR_DAYS,
  };
}

/** The point of Student's t beyond which, on both sides, one in twenty lies: its square is an F. */
function tPoint(freedom: number): number {
  let low = 1;
  let high = 20;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (fTail(middle * middle, 1, freedom) > CHANCE) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
