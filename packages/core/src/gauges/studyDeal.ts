import { createRandom } from '../engine/random/random.ts';

/** A reading to be taken: which time round, and which mark, both from 0. */
export interface StudyTurn {
  trial: number;
  mark: number;
}

/**
 * The order in which one person reads the marks: each trial all of them in an order of its own, so that
 * nobody reads by what they remember. Everybody's order differs.
 * @param seed - of the study
 * @param person - from 0
 * @returns trial after trial; no mark is read twice running
 * @example studyDeal(5, 1, { trials: 2, marks: 3 }).map(({ mark }) => mark) // [0, 1, 2, 1, 2, 0]
 */
export function studyDeal(
  seed: number,
  person: number,
  { trials, marks }: { trials: number; marks: number },
): StudyTurn[] {
  const { uniform } = createRandom(seed + person);
  const turns: StudyTurn[] = [];
  for (let trial = 0; trial < trials; trial++) {
    const order = Array.from({ length: marks }, (_, mark) => mark);
    // Fisher and Yates.
    for (let i = marks - 1; i > 0; i--) {
      const j = Math.floor(uniform() * (i + 1));
      [order[i], order[j]] = [order[j]!, order[i]!];
    }
    if (marks > 1 && order[0] === turns.at(-1)?.mark) order.push(order.shift()!);
    turns.push(...order.map((mark) => ({ trial, mark })));
  }
  return turns;
}
