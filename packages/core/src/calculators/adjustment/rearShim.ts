import { RAD_PER_DEG } from '../../engine/units/units.ts';

/** A full-contact tapered shim between axle and bearing. */
export interface RearShim {
  /** Taper, degrees; 0 for no shim. */
  angle: number;
  /** Where its thickest point stands, degrees clockwise from 12, seen from outside; 0 to below 360. */
  clock: number;
  camberAchieved: number;
  toeAchieved: number;
}

/** Differences below this are a tie, degrees. */
const TIE_DEG = 1e-9;
const NO_SHIM: RearShim = { angle: 0, clock: 0, camberAchieved: 0, toeAchieved: 0 };

/**
 * Picks one tapered shim from stock for a rear wheel.
 *
 * A shim of taper A at clock c changes camber by A cos c and toe by A sin c on the left, - A sin c on
 * the right. Toe wears tires most, so it is met exactly when any shim reaches it, and of those the one
 * whose camber comes nearest is taken; otherwise the largest one points at the change that is wanted.
 * Ties go to the smaller taper, then to positive camber.
 * @param input.camberChange, input.toeChange - wanted, degrees; top outward and toe-in positive
 * @param input.stock - tapers at hand, degrees, each above 0
 */
export function rearShim(input: {
  camberChange: number;
  toeChange: number;
  side: 'left' | 'right';
  stock: readonly number[];
}): RearShim {
  const { camberChange, toeChange, side, stock } = input;
  const sign = side === 'left' ? 1 : -1;
  const place = (angle: number, camber: number, toe: number): RearShim => ({
    angle,
    clock: clockOf(sign * toe, camber),
    camberAchieved: camber,
    toeAchieved: toe,
  });
  const exact = stock
    .filter((angle) => angle >= Math.abs(toeChange))
    .flatMap((angle) => {
      const camber = Math.sqrt(Math.max(0, angle * angle - toeChange * toeChange));
      return [place(angle, camber, toeChange), place(angle, -camber, toeChange)];
    });
  if (toeChange === 0) exact.push(NO_SHIM);
  const byAngle = exact.toSorted(
    (a, b) => a.angle - b.angle || b.camberAchieved - a.camberAchieved,
  );
  const [first, ...others] = byAngle;
  if (first) {
    const missed = (shim: RearShim) => Math.abs(shim.camberAchieved - camberChange);
    return others.reduce(
      (best, shim) => (missed(shim) < missed(best) - TIE_DEG ? shim : best),
      first,
    );
  }
  const largest = Math.max(...stock);
  const wanted = Math.hypot(camberChange, toeChange);
  return place(largest, (largest * camberChange) / wanted, (largest * toeChange) / wanted);
}

function clockOf(sine: number, cosine: number): number {
  const degrees = Math.atan2(sine, cosine) / RAD_PER_DEG;
  return (degrees + 360) % 360;
}
