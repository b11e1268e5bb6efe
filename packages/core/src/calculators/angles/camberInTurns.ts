import { RAD_PER_DEG } from '../../engine/units/units.ts';
import { camberInTurn } from './camberInTurn.ts';

/** One front wheel straight ahead, degrees. */
interface FrontWheel {
  camber: number;
  caster: number;
  sai: number;
}

/**
 * Both front wheels in a turn, each at its own steering angle, as turn plates show them: the inside wheel
 * steers further. What the steering wheel is turned by is their mean times the ratio.
 *
 * How far the body rises at the inside corner, and sinks at the outside one, comes from the wheel's middle
 * going round the steering axis, scrub radius out from where the axis meets the floor, and the tire
 * standing lower on its edge as it leans (a thin wheel of the loaded radius). The axis is taken to pass
 * through the wheel's middle seen from the side.
 * @param input.turning - which way the car turns
 * @param input.inside, input.outside - steering angles, degrees
 * @param input.steeringRatio - steering wheel to front wheels
 * @param input.radius - loaded radius of the tire, mm; input.scrub - scrub radius, mm, positive with the
 *   axis meeting the floor inside of the tire's middle
 * @returns camber of each front wheel in degrees, turns of the steering wheel, and rise of the body at each
 *   corner in mm; null for what was not given
 * @throws {InputError} when a wheel cannot be turned that far about its axis
 */
export function camberInTurns(input: {
  left: FrontWheel;
  right: FrontWheel;
  turning: 'left' | 'right';
  inside: number;
  outside: number;
  steeringRatio?: number | undefined;
  radius?: number | undefined;
  scrub?: number | undefined;
}): {
  camber: { left: number; right: number };
  steeringWheelTurns: number | null;
  rise: { inside: number; outside: number } | null;
} {
  const { left, right, turning, inside, outside, steeringRatio, radius, scrub } = input;
  // The inside wheel's front goes away from the car, the outside one's toward it.
  const steer = (side: 'left' | 'right') => (side === turning ? -inside : outside);
  const camber = {
    left: camberInTurn({ ...left, steer: steer('left') }).camber,
    right: camberInTurn({ ...right, steer: steer('right') }).camber,
  };
  const riseAt = (side: 'left' | 'right') => {
    if (radius === undefined || scrub === undefined) return 0;
    const wheel = side === 'left' ? left : right;
    return bodyRise({ ...wheel, steer: steer(side), turned: camber[side], radius, scrub });
  };
  const outer = turning === 'left' ? 'right' : 'left';
  return {
    camber,
    steeringWheelTurns:
      steeringRatio === undefined ? null : (((inside + outside) / 2) * steeringRatio) / 360,
    rise:
      radius === undefined || scrub === undefined
        ? null
        : { inside: riseAt(turning), outside: riseAt(outer) },
  };
}

/** Rise of the body at a steered wheel, mm: its middle goes up and down about the axis, the floor stays. */
function bodyRise(wheel: {
  camber: number;
  caster: number;
  sai: number;
  steer: number;
  /** Camber once steered. */
  turned: number;
  radius: number;
  scrub: number;
}): number {
  const { radius, scrub } = wheel;
  const [camber, caster, sai, steer, turned] = [
    wheel.camber,
    wheel.caster,
    wheel.sai,
    wheel.steer,
    wheel.turned,
  ].map((degrees) => degrees * RAD_PER_DEG) as [number, number, number, number, number];
  const height = radius * Math.cos(camber);
  // From where the axis meets the floor to the wheel's middle: forward, outward, up.
  const arm = [-height * Math.tan(caster), scrub + radius * Math.sin(camber), height] as const;
  const slant = [-Math.tan(caster), -Math.tan(sai), 1] as const;
  const length = Math.hypot(...slant);
  const axis = slant.map((part) => part / length) as [number, number, number];
  const along = axis.reduce((sum, part, i) => sum + part * arm[i]!, 0);
  const across = axis[0] * arm[1] - axis[1] * arm[0];
  // The heading in plan and the turn about a leaning axis differ by little; the height by less.
  const turn = -steer;
  const up =
    arm[2] * Math.cos(turn) + across * Math.sin(turn) + axis[2] * along * (1 - Math.cos(turn));
  return radius * (Math.cos(turned) - Math.cos(camber)) - (up - arm[2]);
}
