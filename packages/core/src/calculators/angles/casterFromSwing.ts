import { RAD_PER_DEG } from '../../engine/units/units.ts';

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

/**
 * The angle of an even swing that is worth as much as an uneven one, from what the turn plate shows:
 * sin angle is the mean of the two sines. A plate that does not show 0 straight ahead is corrected by
 * what it shows there; a floor that slopes stands in both cambers and takes itself out.
 * @param plate - readings straight ahead, with the front turned away from the car, and toward it, degrees
 * @returns degrees, above 0
 * Source: camber is linear in the sine of the turn, as in {@link casterFromSwing}.
 * @example evenSwing({ straight: 0.1, out: 2, in: -1.8 }) // 1.9
 */
export function evenSwing(plate: { straight: number; out: number; in: number }): number {
  const sine = (reading: number) => Math.sin(Math.abs(reading - plate.straight) * RAD_PER_DEG);
  return Math.asin((sine(plate.out) + sine(plate.in)) / 2) / RAD_PER_DEG;
}
