import type { CaseFile } from '@keen/contract';
import { createRandom } from '../src/engine/random/random.ts';
import { WHEEL_ORDER } from '../src/engine/case/wheels.ts';
import { evenCar } from './evenCar.ts';

/**
 * Treads drawn at random, of no physics: each tire leans, rounds and wears as it likes. For what must hold
 * of any answer, likely car or not.
 */
export function simulateLike(count: number): CaseFile[] {
  const random = createRandom(2026);
  const about = (middle: number, spread: number) => middle + spread * random.normal();
  return Array.from({ length: count }, () =>
    evenCar({}, (file) => {
      for (const wheel of WHEEL_ORDER) {
        const mean = Math.min(7, Math.max(2.5, about(5.5, 1)));
        const [lean, crown] = [about(0, 0.6), about(0, 0.3)];
        const depth = (mm: number) => Number(Math.min(8, Math.max(0.5, mm)).toFixed(1));
        file.tires[wheel].stations = [
          {
            inner: depth(mean - lean + crown),
            centre: depth(mean - crown),
            outer: depth(mean + lean + crown),
          },
        ];
        file.tires[wheel].pressure = { target: 230, measured: Math.round(about(228, 12)) };
      }
    }),
  );
}
