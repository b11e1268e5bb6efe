import type { Oddity } from '@keen/contract';
import { RIBS } from '@keen/contract/words';
import { WHEEL_ORDER } from '../case/wheels.ts';
import { STATE } from '../wear/state.ts';
import type { Doubted } from './treadSeen.ts';

/** An oddity is named from this chance on: wrong readings and odd tires are rare, so this is much. */
const SAY_ODDITY_FROM = 0.3;

/** Counts over draws what does not fit the model for reasons of its own. */
export function countOddities() {
  // The first of each counts the draws with none.
  const tires = new Float64Array(5);
  const readings = new Float64Array(13);
  const ages = new Float64Array(3);

  function add(state: Float64Array): void {
    tires[state[STATE.oddTire]!]!++;
    readings[state[STATE.oddReading]!]!++;
    ages[state[STATE.otherAge]!]!++;
  }

  /** Those likely enough to be said. @param draws - how many were counted */
  function likely(draws: number): Oddity[] {
    const list = (counts: Float64Array, make: (at: number) => Omit<Oddity, 'probability'>) =>
      [...counts.slice(1)].flatMap((count, at) => {
        const probability = count / draws;
        return probability >= SAY_ODDITY_FROM ? [{ ...make(at), probability }] : [];
      });
    return [
      ...list(readings, (at) => ({
        kind: 'reading',
        where: WHEEL_ORDER[Math.floor(at / 3)]!,
        rib: RIBS[at % 3]!,
      })),
      ...list(tires, (at) => ({ kind: 'tire', where: WHEEL_ORDER[at]! })),
      ...list(ages, (at) => ({ kind: 'age', where: at === 0 ? 'front' : 'rear' })),
    ];
  }

  /** Ribs whose reading is more likely wrong than right. @param draws - how many were counted */
  function doubted(draws: number): Doubted[] {
    return [...readings.slice(1)].flatMap((count, at) =>
      count / draws > 0.5 ? [{ wheel: WHEEL_ORDER[Math.floor(at / 3)]!, rib: RIBS[at % 3]! }] : [],
    );
  }

  return { add, likely, doubted };
}
