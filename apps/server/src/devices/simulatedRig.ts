import type { AngleFile, RigReading, RigState } from '@keen/contract';
import { ANGLES_FORMAT, ANGLES_VERSION } from '@keen/contract';
import { WHEEL_ORDER } from '@keen/core';
import type { Random } from '@keen/core';

/** What a good rig scatters by from look to look, degrees. */
const NOISE_DEG = 0.008;
/** How far a loose clamp lets the reading swing, degrees rms. */
const LOOSE_DEG = 0.35;
/** What a bent rim adds while run-out is not compensated, degrees. */
const RUN_OUT_DEG = 0.28;

/**
 * One look of the simulated rig at the made-up car on it, with the faults that rigs have: a clamp that
 * moves, a target that is blocked, run-out that nobody compensated.
 * @param at - when, UTC
 */
export function rigReading(state: RigState, random: Random, at: string): RigReading {
  const empty: AngleFile = {
    format: ANGLES_FORMAT,
    version: ANGLES_VERSION,
    takenAt: at,
    source: 'Simulated rig',
    wheels: {},
  };
  if (!state.isOn) return { status: 'off', unseen: [...WHEEL_ORDER], angles: empty };
  const unseen = state.fault === 'blockedTarget' ? [state.faultAt] : [];
  const wheels: AngleFile['wheels'] = {};
  for (const wheel of WHEEL_ORDER) {
    if (unseen.includes(wheel)) continue;
    const scatter = (deg: number) => deg * random.normal();
    const isBad = state.faultAt === wheel;
    const swing = isBad && state.fault === 'looseClamp' ? scatter(LOOSE_DEG) : 0;
    const bend = isBad && state.fault === 'runOut' ? RUN_OUT_DEG : 0;
    wheels[wheel] = Object.fromEntries(
      Object.entries(state.wheels[wheel])
        .filter((entry): entry is [string, number] => entry[1] !== undefined)
        .map(([kind, value]) => {
          const off = kind === 'camber' || kind === 'toe' ? swing + bend : 0;
          return [kind, Number((value + off + scatter(NOISE_DEG)).toFixed(3))];
        }),
    );
  }
  return {
    status: unseen.length > 0 ? 'partly' : 'ready',
    unseen,
    angles: { ...empty, wheels, setback: state.setback },
  };
}
