import { randomInt } from 'node:crypto';

/** A seed that nobody can guess, as the simulator and the drill take it. */
export function newSeed(): number {
  return randomInt(1, 2 ** 31 - 1);
}
