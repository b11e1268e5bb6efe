import type { TurnMade } from '@keen/contract';

/** What the turns made so far teach about an adjuster. */
export interface LearnedTurn {
  /** Degrees that one turn (notch, hole, millimetre) moves the angle, with its sign. */
  perUnit: number;
  /** Standard uncertainty of it, degrees. */
  sd: number;
  /** Whether the turns moved the angle more than its readings scatter. */
  isPlain: boolean;
}

/** The turn that is left to make, counted the way the turns before were counted. */
export interface TurnLeft {
  amount: number;
  /** Standard uncertainty of it. */
  giveOrTake: number;
}

/**
 * Learns from the hand: each turn with what it did to the reading, by least squares through the origin.
 *
 * perUnit = sum(amount * moved) / sum(amount^2); every move is the difference of two readings, so its
 * standard deviation is sqrt(2) times the reading's, and that of perUnit is it over sqrt(sum(amount^2)).
 * @param turns - those that were read again count
 * @param sd - standard uncertainty of one reading, degrees
 * @returns null until a turn was read again
 * @example learnTurn([{ amount: 2, from: 0.4, to: 0.1 }], 0.01).perUnit.toFixed(2) // '-0.15'
 */
export function learnTurn(turns: readonly TurnMade[], sd: number): LearnedTurn | null {
  const read = turns.flatMap(({ amount, from, to }) =>
    to === undefined || amount === 0 ? [] : { amount, moved: to - from },
  );
  if (read.length === 0) return null;
  const squares = read.reduce((sum, { amount }) => sum + amount ** 2, 0);
  const perUnit = read.reduce((sum, { amount, moved }) => sum + amount * moved, 0) / squares;
  const doubt = (Math.SQRT2 * sd) / Math.sqrt(squares);
  return { perUnit, sd: doubt, isPlain: Math.abs(perUnit) > 2 * doubt };
}

/**
 * How much more to turn.
 * @param change - from where it stands to its target, degrees
 * @param sd - standard uncertainty of the reading that the change is counted from, degrees
 * @returns null where the turns before did not move it plainly
 * @example turnLeft({ perUnit: -0.15, sd: 0.01, isPlain: true }, -0.3, 0.01).amount // 2
 */
export function turnLeft(learned: LearnedTurn, change: number, sd: number): TurnLeft | null {
  if (!learned.isPlain) return null;
  const amount = change / learned.perUnit;
  return {
    amount,
    giveOrTake: Math.hypot(sd / learned.perUnit, (amount * learned.sd) / learned.perUnit),
  };
}
