import type { Diagnosis, VisitDraft } from '@keen/contract';
import { AXLES, WHEELS } from '@keen/contract/words';
import { DEFAULT_TOLERANCES } from '../engine/case/resolveCase.ts';
import { axleOf, WHEELS_OF_AXLE } from '../engine/case/wheels.ts';

/** A chance that was said, and whether it turned out so. */
export interface Said {
  /** 0 to 1. */
  chance: number;
  isSo: boolean;
}

/**
 * Holds what a diagnosis said of camber and toe against the angles that were measured later, as they were
 * found: each side of each limit counts. Degrees; toe in is positive.
 * @param draft - of the visit, with the angles
 * @returns nothing for what was not measured
 */
export function saidAndFound(diagnosis: Diagnosis, draft: VisitDraft): Said[] {
  const angles = draft.visit?.setRight?.before ?? draft.angles ?? {};
  const { tolerances } = draft;
  const said: Said[] = [];
  const judge = (
    value: number,
    [low, high]: readonly [number, number],
    below: number,
    above: number,
  ) => said.push({ chance: below, isSo: value < low }, { chance: above, isSo: value > high });
  for (const wheel of WHEELS) {
    const camber = angles[wheel]?.camber;
    if (camber === undefined) continue;
    const axle = axleOf(wheel);
    const { camberTooNegative, camberTooPositive } = diagnosis.wheels[wheel].probability;
    const range = tolerances?.camber?.[axle] ?? DEFAULT_TOLERANCES.camber[axle];
    judge(camber, range, camberTooNegative, camberTooPositive);
  }
  for (const axle of AXLES) {
    const [left, right] = WHEELS_OF_AXLE[axle].map((wheel) => angles[wheel]?.toe);
    if (left === undefined || right === undefined) continue;
    const { toeTooFarIn, toeTooFarOut } = diagnosis.axles[axle].probability;
    const range = tolerances?.totalToe?.[axle] ?? DEFAULT_TOLERANCES.totalToe[axle];
    judge(left + right, range, toeTooFarOut, toeTooFarIn);
  }
  return said;
}
