import { CAMBER_SHARE, pressureRate, STATE, tireLoss, TOE_SHARE } from '@keen/core/engine';
import type { TirePath } from '@keen/core/engine';

/** What wears a simulated tire: its loss in mm at inner, centre, outer, written to `out`. */
export type Physics = (state: Float64Array, path: TirePath, out: Float64Array) => void;

/** The engine's own formula; the constants in the state are jittered, so no two cars share them. */
export const ownPhysics: Physics = tireLoss;

/** Slip beyond which the work no longer grows with its square, degrees. */
const SATURATES_AT = 0.9;
/** The most that a share of pressure can shift from one side to the other. */
const MOST_SHIFT = 0.75;

/**
 * Another formula for the same anchors, to see how the engine does when its own is wrong: wear grows
 * with slip to the power 1.8 and saturates (as a brush model does at larger slip), pressure shifts
 * along a bounded curve instead of an exponential, cornering wears both shoulders of the outside tire,
 * and camber pushes the contact patch sideways enough to add to toe.
 */
export const otherPhysics: Physics = (state, path, out) => {
  out.fill(0);
  const pressure = state[STATE.pressure + path.tire]!;
  const tireRate =
    0.865 *
    Math.exp(state[STATE.abradability]!) *
    pressureRate(pressure) *
    (state[STATE.bounce + path.tire]! > 0.5 ? 1.18 : 1);
  const cornering = state[STATE.cornering]! - 1;
  Array.from(path.positions).forEach((position, i) => {
    const axle = position >> 1;
    const camber = state[STATE.camber + position]!;
    const toe = state[STATE.toe + axle]! / 2 + 0.01 * camber;
    const slip0 = path.drivingSlips[i]! * (1 + state[STATE.drivingSlip + axle]!);
    const felt = axle === 0 ? cornering : cornering * 0.4;
    const hand = (position & 1) === 0 ? state[STATE.hand]! : -state[STATE.hand]!;
    const lean =
      CAMBER_SHARE * (1 + state[STATE.camberShare]!) * camber +
      TOE_SHARE * (1 + state[STATE.toeShare]!) * toe +
      state[STATE.tilt + axle]! +
      hand;
    const crown =
      1.4 * (1 + state[STATE.pressureShare]!) * (1 - pressure) + state[STATE.crown + axle]!;
    const shares = [-1, 0, 1].map((y) => {
      const outer = y > 0 ? 0.26 : y < 0 ? 0.04 : 0;
      const shift = lean * y + crown * y * y + outer * (1 + state[STATE.corneringShare]!) * felt;
      return 1 + MOST_SHIFT * Math.tanh(shift / MOST_SHIFT);
    });
    const sum = shares.reduce((a, b) => a + b, 0);
    shares.forEach((share, rib) => {
      const spin = 0.065 * (1 + state[STATE.camberSlip]!) * (rib - 1) * camber;
      const square =
        slip0 * slip0 * (1 + 0.3 * felt) +
        toe * toe +
        state[STATE.looseness + axle]! ** 2 +
        spin * spin;
      const grown = slip0 * slip0 * (square / (slip0 * slip0)) ** 0.9;
      const work = grown / (1 + grown / (SATURATES_AT * SATURATES_AT * 4));
      out[rib]! += ((3 * share) / sum) * tireRate * path.megametres[i]! * work * 1.03;
    });
  });
};
