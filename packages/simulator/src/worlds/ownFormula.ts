import { NOISE, STATE } from '@keen/core/engine';
import { formulaPhysics } from '@keen/core/lab';
import type { World } from './world.ts';

/**
 * The engine's own formula. Its constants and traits stand in the state as the prior draws them, so no
 * two cars share them.
 */
export const ownFormula: World = {
  name: 'own',
  lateFaults: 0,
  wrongReading: 0,
  createPhysics: formulaPhysics,
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
