import type { AdviceCount } from '@keen/contract';
import { shareOf } from './share.ts';
import type { Share } from './share.ts';

/** How customers answered one kind of advice, or one person. */
export interface Acceptance<Key extends string> {
  key: Key;
  /** Visits in all. */
  visits: number;
  yes: number;
  no: number;
  /** Still thinking about it. */
  open: number;
  /** Yes, of those who said yes or no. */
  accepted: Share;
  /** Visits in which something else was chosen than advised. */
  overridden: number;
}

/**
 * Sums up answers by what was advised, or by who asked.
 * @returns the most visits first
 */
export function acceptanceBy<By extends 'advised' | 'personId'>(
  by: By,
  counts: readonly AdviceCount[],
): Acceptance<AdviceCount[By]>[] {
  const keys = [...new Set(counts.map((one) => one[by]))];
  return keys
    .map((key) =>
      acceptance(
        key,
        counts.filter((one) => one[by] === key),
      ),
    )
    .toSorted((a, b) => b.visits - a.visits || a.key.localeCompare(b.key));
}

/** The same over everything. */
export function acceptance<Key extends string>(
  key: Key,
  counts: readonly Omit<AdviceCount, 'personId'>[],
): Acceptance<Key> {
  const sum = (of: (one: Omit<AdviceCount, 'personId'>) => boolean) =>
    counts.filter(of).reduce((total, { count }) => total + count, 0);
  const yes = sum(({ answer }) => answer === 'yes');
  const no = sum(({ answer }) => answer === 'no');
  return {
    key,
    visits: sum(() => true),
    yes,
    no,
    open: sum(({ answer }) => answer === 'open'),
    accepted: shareOf(yes, yes + no),
    overridden: sum(({ advised, chosen }) => advised !== chosen),
  };
}
