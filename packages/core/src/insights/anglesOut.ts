import type { VisitDraft } from '@keen/contract';
import { AXLES, WHEELS } from '@keen/contract/words';
import { DEFAULT_TOLERANCES } from '../engine/case/resolveCase.ts';
import { axleOf, WHEELS_OF_AXLE } from '../engine/case/wheels.ts';

/**
 * Whether a camber or an axle's toe is out of its limits.
 * @param angles - degrees; toe in is positive
 * @returns null where none of them was measured
 * @example anglesOut({ lf: { camber: -2 } }, { camber: { front: [-1, 0.5] } }) // true
 */
export function anglesOut(
  angles: VisitDraft['angles'],
  tolerances: VisitDraft['tolerances'],
): boolean | null {
  const judged: boolean[] = [];
  const judge = (value: number, [low, high]: readonly [number, number]) =>
    judged.push(value < low || value > high);
  for (const wheel of WHEELS) {
    const camber = angles?.[wheel]?.camber;
    const axle = axleOf(wheel);
    if (camber !== undefined) {
      judge(camber, tolerances?.camber?.[axle] ?? DEFAULT_TOLERANCES.camber[axle]);
    }
  }
  for (const axle of AXLES) {
    const [left, right] = WHEELS_OF_AXLE[axle].map((wheel) => angles?.[wheel]?.toe);
    if (left === undefined || right === undefined) continue;
    judge(left + right, tolerances?.totalToe?.[axle] ?? DEFAULT_TOLERANCES.totalToe[axle]);
  }
  return judged.length === 0 ? null : judged.some((isOut) => isOut);
}
