import { STATE } from '@keen/core/engine';
import type { Random } from '@keen/core/engine';
import type { World } from './world.ts';

/** Slip beyond which the work no longer grows with its square, degrees. */
const SATURATES_AT = 0.9;
/** The most that a share of pressure can shift from one side to the other. */
const MOST_SHIFT = 0.75;
const SLIPS = { fwd: [0.34, 0.26], rwd: [0.31, 0.32], awd: [0.325, 0.29] } as const;

/**
 * Another formula for the same anchors, to see how the engine does when its own is wrong: wear grows
 * with slip to the power 1.8 and saturates (as a brush model does at larger slip), pressure shifts
 * along a bounded curve instead of a straight one, cornering wears both shoulders of the outside tire,
 * camber pushes the contact patch sideways enough to add to toe, factors have heavy tails, and some
 * faults have been there for part of the distance only.
 */
export const otherFormula: World = {
  name: 'other',
  lateFaults: 0.2,
  wrongReading: 0.008,
  createPhysics(drive, car, random) {
    const jitter = (sd: number) => Math.exp(sd * random.normal());
    const four = <T>(make: () => T): T[] => [make(), make(), make(), make()];
    const k = {
      rate: 0.9 * Math.exp(car[STATE.logWearRate]!),
      camber: 0.13 * jitter(0.15),
      toe: 0.47 * jitter(0.15),
      pressure: 1.4 * jitter(0.15),
      cornering: jitter(0.2),
      spin: 0.065 * jitter(0.2),
      crown: 0.05 * random.normal(),
      hand: 0.045 * studentT(random),
      tilt: four(() => 0.03 * random.normal()),
      axle: [jitter(0.12), jitter(0.12)],
      fresh: 0.4 * random.uniform(),
    };
    return {
      rates(state, tire, position) {
        const axle = position >> 1;
        const pressure = state[STATE.pressure + tire]!;
        const cornering = state[STATE.cornering]! - 1;
        const off = Math.max(-0.5, Math.min(0.5, pressure - 1));
        const life = Math.exp(off * (-0.6518 + 1.7122 * off));
        const camber = state[STATE.camber + position]!;
        const toe = state[STATE.toe + axle]! / 2 + 0.01 * camber;
        const slip0 = SLIPS[drive][axle]! * k.axle[axle]!;
        const felt = axle === 0 ? cornering : cornering * 0.4;
        const side = (position & 1) === 0 ? 1 : -1;
        const lean = k.camber * camber + k.toe * toe + k.tilt[axle]! + side * k.hand;
        const crown = k.pressure * (1 - pressure) + k.crown;
        const shares = [-1, 0, 1].map((y) => {
          const outer = y > 0 ? 0.26 : y < 0 ? 0.04 : 0;
          const shift = lean * y + crown * y * y + outer * k.cornering * felt;
          return 1 + MOST_SHIFT * Math.tanh(shift / MOST_SHIFT);
        });
        const sum = shares.reduce((a, b) => a + b, 0);
        const rate =
          k.rate *
          life *
          (state[STATE.bounce + tire]! > 0.5 ? 1.18 : 1) *
          (1 + 0.4 * side * k.hand);
        const [inner, centre, outer] = shares.map((share, rib) => {
          const spin = k.spin * (rib - 1) * camber;
          const square =
            slip0 * slip0 * (1 + 0.3 * felt) +
            toe * toe +
            state[STATE.looseness + axle]! ** 2 +
            spin * spin;
          const grown = slip0 * slip0 * (square / (slip0 * slip0)) ** 0.9;
          return (
            ((3 * share) / sum) * rate * (grown / (1 + grown / (SATURATES_AT * SATURATES_AT * 4)))
          );
        }) as [number, number, number];
        return [inner, centre, outer];
      },
      depthFactor: (lostPart) => 1 + k.fresh * (0.5 - lostPart),
    };
  },
  drawFactors(_state, random) {
    const size = 0.04 + 0.04 * random.uniform();
    const draw = (sd: number) => Math.exp(sd * studentT(random));
    const tire = [0, 1, 2, 3].map(() => draw(size));
    return { tire, rib: tire.map(() => [0, 1, 2].map(() => draw(0.6 * size))) };
  },
};

/** Student's t with 4 degrees of freedom, scaled to variance 1. */
function studentT(random: Random): number {
  const square = [0, 1, 2, 3].reduce((sum) => sum + random.normal() ** 2, 0) / 4;
  // A source that gives the middle of everything gives it here too.
  return square === 0 ? 0 : random.normal() / Math.sqrt(square) / Math.SQRT2;
}
