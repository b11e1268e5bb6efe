import type { Wheel } from '@keen/contract/words';
import { byWheel } from '../../engine/case/resolveCase.ts';
import { axleOf } from '../../engine/case/wheels.ts';
import { InputError } from '../../engine/errors/InputError.ts';
import { RAD_PER_DEG } from '../../engine/units/units.ts';
import { thrust } from './thrust.ts';

/** Strings count as parallel within this, degrees. */
const PARALLEL_DEG = 0.02;

interface Ends {
  front: number;
  rear: number;
}

/** What strings along both sides of the car give. */
export interface StringToe {
  /** Angle between the strings, degrees, positive when wider at the front. */
  parallelError: number;
  parallel: boolean;
  /** Corrected for the strings, degrees, toe-in positive. */
  toe: Record<Wheel, number>;
  totalToe: { front: number; rear: number };
  thrustAngle: number;
}

/**
 * Toe of each wheel from strings that stand centred on the hubs: at each axle line the distance from
 * string to hub is the same left and right.
 *
 * error = atan((gap front - gap rear) / wheelbase), half of it on each string;
 * toe = asin((front - rear) / rim diameter) - error / 2.
 * @param input.wheels - string to rim edge ahead of and behind the hub; all lengths in one unit
 * @param input.rimDiameter - between the two measured points of the rim edge, by axle
 * @throws {InputError} at the wheel whose distances differ by more than its rim
 */
export function toeFromStrings(input: {
  stringGap: Ends;
  wheelbase: number;
  wheels: Record<Wheel, Ends>;
  rimDiameter: Ends;
}): StringToe {
  const { stringGap, wheelbase, wheels, rimDiameter } = input;
  const parallelError = Math.atan((stringGap.front - stringGap.rear) / wheelbase) / RAD_PER_DEG;
  const toe = byWheel((wheel) => {
    const { front, rear } = wheels[wheel];
    const sine = (front - rear) / rimDiameter[axleOf(wheel)];
    if (Math.abs(sine) > 1) {
      throw new InputError(`wheels.${wheel}`, 'closerThanRim');
    }
    return Math.asin(sine) / RAD_PER_DEG - parallelError / 2;
  });
  return {
    parallelError,
    parallel: Math.abs(parallelError) <= PARALLEL_DEG,
    toe,
    totalToe: { front: toe.lf + toe.rf, rear: toe.lr + toe.rr },
    thrustAngle: thrust({ toeLr: toe.lr, toeRr: toe.rr }).thrustAngle,
  };
}
