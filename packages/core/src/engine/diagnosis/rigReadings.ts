import type { Side } from '@keen/contract/words';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { axleOf, WHEEL_ORDER, WHEELS_OF_AXLE } from '../case/wheels.ts';
import { STATE } from '../wear/state.ts';

/** A rig's reading is out only by more than its own error, degrees: one camber, the toe of two wheels. */
const CAMBER_ERROR = 0.1;
const TOTAL_TOE_ERROR = 0.06;

/** The most that left and right may differ in front without a pull, degrees (common practice, no source). */
export const CROSS = { camber: 0.5, caster: 0.5 } as const;

/** An angle that a rig reads, and its limits. */
export interface RigReading {
  /** The element of the state that it is; see STATE. */
  element: number;
  /** As it was read, degrees; null when it was not. */
  degrees: number | null;
  limits: readonly [low: number, high: number];
  /** What the rig itself may be off by, degrees. */
  error: number;
}

/** The camber of each wheel and the total toe of each axle as they were measured at this visit. */
export function rigReadings({
  angles,
  tolerances,
}: Pick<ResolvedCase, 'angles' | 'tolerances'>): RigReading[] {
  return [
    ...WHEEL_ORDER.map((wheel, i) => ({
      element: STATE.camber + i,
      degrees: angles[wheel].camber,
      limits: tolerances.camber[axleOf(wheel)],
      error: CAMBER_ERROR,
    })),
    ...(['front', 'rear'] as const).map((axle, i) => {
      const [left, right] = WHEELS_OF_AXLE[axle];
      const toes = [angles[left].toe, angles[right].toe] as const;
      return {
        element: STATE.toe + i,
        degrees: toes[0] === null || toes[1] === null ? null : toes[0] + toes[1],
        limits: tolerances.totalToe[axle],
        error: TOTAL_TOE_ERROR,
      };
    }),
  ];
}

/** Front camber or caster that differs between the sides by more than it may, and where that pulls the car. */
export interface Pull {
  angle: 'camber' | 'caster';
  /** Degrees, above 0. */
  by: number;
  /** The side with more positive camber, or with less caster. */
  to: Side;
}

/** What was measured that pulls the car to a side: differences beyond the rig's error and {@link CROSS}. */
export function pulls({ angles }: Pick<ResolvedCase, 'angles'>): Pull[] {
  return (['camber', 'caster'] as const).flatMap((angle): Pull[] => {
    const [left, right] = [angles.lf[angle], angles.rf[angle]];
    if (left === null || right === null) return [];
    const by = Math.abs(left - right);
    if (by <= CROSS[angle] + CAMBER_ERROR) return [];
    return [{ angle, by, to: left > right === (angle === 'camber') ? 'left' : 'right' }];
  });
}
