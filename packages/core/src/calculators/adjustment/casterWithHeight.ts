import { InputError } from '../../engine/errors/InputError.ts';
import { RAD_PER_DEG } from '../../engine/units/units.ts';

/**
 * What a changed body height does to caster, seen from the side.
 *
 * The lower joint goes down against the body by the change, and forward by change x tan(axis) where the
 * arm's axis rises toward the front. A strut's top stays with the body, so that the two come closer or
 * further apart; an upper arm's joint goes along with the lower one, by its own axis.
 * caster = atan(lower joint ahead of the upper / upper joint above the lower).
 * @param input.change - of the body, mm, up positive
 * @param input.caster - before, degrees
 * @param input.height - strut top or upper joint above the lower joint, mm
 * @param input.lowerAxis, input.upperAxis - rise of the arms' axes toward the front, degrees; a strut has
 *   no upper one
 * @returns degrees
 * @throws {InputError} when the strut would be pushed together to nothing
 * @example casterWithHeight({ change: -40, caster: 4, height: 500, upper: 'strut' }).caster.toFixed(2) // '4.35'
 */
export function casterWithHeight(input: {
  change: number;
  caster: number;
  height: number;
  upper: 'strut' | 'arm';
  lowerAxis?: number | undefined;
  upperAxis?: number | undefined;
}): { caster: number; casterChange: number } {
  const { change, caster, height, upper, lowerAxis = 0, upperAxis = 0 } = input;
  const tan = (degrees: number) => Math.tan(degrees * RAD_PER_DEG);
  const isStrut = upper === 'strut';
  const apart = isStrut ? height + change : height;
  if (!(apart > 0)) throw new InputError('change', 'withinStrut');
  const ahead = height * tan(caster) + change * (tan(lowerAxis) - (isStrut ? 0 : tan(upperAxis)));
  const after = Math.atan(ahead / apart) / RAD_PER_DEG;
  return { caster: after, casterChange: after - caster };
}
