import {
  DEPTH_RATE,
  FIRST_NUISANCE,
  NOISE,
  NUISANCE_SPREADS,
  STATE,
  tireLoss,
  DRIVING_SLIP,
} from '@keen/core/engine';
import type { World } from './world.ts';

/**
 * The engine's own formula. Its constants and traits stand in the state as the prior draws them, so no
 * two cars share them.
 */
export const ownFormula: World = {
  name: 'own',
  lateFaults: 0,
  wrongReading: 0,
  createPhysics(drive, traits) {
    const out = new Float64Array(3);
    return {
      rates(state, tire, position) {
        const whole = state.slice();
        NUISANCE_SPREADS.forEach((_, i) => {
          whole[FIRST_NUISANCE + i] = traits[FIRST_NUISANCE + i]!;
        });
        tireLoss(
          whole,
          {
            tire,
            positions: Int32Array.of(position),
            thousandKm: Float64Array.of(1),
            drivingSlips: Float64Array.of(DRIVING_SLIP[drive][position < 2 ? 'front' : 'rear']),
            newDepthMm: 0,
            lostBefore: new Float64Array(3),
          },
          out,
        );
        return [out[0]!, out[1]!, out[2]!];
      },
      depthFactor: (lostPart) =>
        Math.max(0.2, 1 + (DEPTH_RATE + traits[STATE.depthRate]!) * (0.5 - lostPart)),
    };
  },
  drawFactors(state, random) {
    const scale = Math.exp(state[STATE.noise]!);
    const age = state[STATE.otherAge]!;
    const older = NOISE.otherAge * random.normal();
    const tire = [0, 1, 2, 3].map((at) => {
      const odd = state[STATE.oddTire] === at + 1 ? NOISE.oddTire * random.normal() : 0;
      const aged = age > 0 && at >> 1 === age - 1 ? older : 0;
      return Math.max(0.2, 1 + NOISE.tire * scale * random.normal() + odd + aged);
    });
    const rib = tire.map(() =>
      [0, 1, 2].map(() => Math.max(0.2, 1 + NOISE.rib * scale * random.normal())),
    );
    return { tire, rib };
  },
};
