import type { ToeUnit } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';
import { byWheel } from '../../engine/case/resolveCase.ts';
import { InputError } from '../../engine/errors/InputError.ts';
import { toeConvert } from './toeConvert.ts';

/**
 * Toe of each wheel from gauges that read every wheel on its own, such as lasers with a scale.
 *
 * Front wheels read against the rear axle stand off the line that it rolls along; against the car's
 * centre line the left one toes in by the thrust angle more, the right one by as much less.
 * @param input.wheels - readings, in `unit`
 * @param input.diameter - of the wheel where the scale is read, mm; needed for lengths
 * @param input.toeInReads - sign that the gauges show for a wheel whose front points in
 * @param input.frontAgainst - what the front wheels were read against
 * @returns degrees, toe-in positive; thrust positive to the right
 * @throws {InputError} `wheels.*` for a reading that no angle has
 * Source: plain geometry; thrust as the case file defines it.
 */
export function toeFromGauges(input: {
  wheels: Record<Wheel, number>;
  unit: ToeUnit;
  diameter?: number | undefined;
  toeInReads: 'plus' | 'minus';
  frontAgainst: 'centreLine' | 'rearAxle';
}): {
  toe: Record<Wheel, number>;
  totalToe: { front: number; rear: number };
  thrustAngle: number;
} {
  const { unit, diameter, toeInReads, frontAgainst } = input;
  const sign = toeInReads === 'plus' ? 1 : -1;
  const read = byWheel((wheel) => {
    try {
      const value = sign * input.wheels[wheel];
      return toeConvert({ value, from: unit, to: 'deg', diameter }).value;
    } catch (error) {
      if (error instanceof InputError && error.path === 'value') {
        throw error.at(`wheels.${wheel}`);
      }
      throw error;
    }
  });
  const thrustAngle = (read.lr - read.rr) / 2;
  const shift = frontAgainst === 'rearAxle' ? thrustAngle : 0;
  const toe = { ...read, lf: read.lf + shift, rf: read.rf - shift };
  return {
    toe,
    totalToe: { front: toe.lf + toe.rf, rear: toe.lr + toe.rr },
    thrustAngle,
  };
}
