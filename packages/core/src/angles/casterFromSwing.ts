import { RAD_PER_DEG } from '../units/units.ts';

/**
 * Caster from the camber that a wheel gains between two equal turns of the steering.
 *
 * caster = (turned out - turned in) / (2 sin angle): linear by nature, within 0.05 degrees up to 8
 * degrees of caster.
 * @param input.camberTurnedOut - camber with the wheel's front turned away from the car, degrees
 * @param input.camberTurnedIn - the same turned toward the car
 * @param input.angle - of each turn, degrees, above 0
 * @returns degrees, positive with the steering axis leaning back
 * Source: the definition of the caster swing; SAE J670 for the angles.
 */
export function casterFromSwing(input: {
  camberTurnedOut: number;
  camberTurnedIn: number;
  angle: number;
}): { caster: number } {
  const swing = 2 * Math.sin(input.angle * RAD_PER_DEG);
  return { caster: (input.camberTurnedOut - input.camberTurnedIn) / swing };
}
