import type { ResolvedCase } from '../case/resolveCase.ts';
import { axleOf, WHEEL_ORDER, WHEELS_OF_AXLE } from '../case/wheels.ts';
import { STATE } from '../wear/state.ts';

/** A rig's reading is out only by more than its own error, degrees: one camber, the toe of two wheels. */
const CAMBER_ERROR = 0.1;
const TOTAL_TOE_ERROR = 0.06;

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
