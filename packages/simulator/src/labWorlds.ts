import {
  createRandom,
  FIRST_NUISANCE,
  NOISE,
  NUISANCE_SPREADS,
  SPREAD,
  STATE,
} from '@keen/core/engine';
import type { Random } from '@keen/core/engine';
import { labState } from '@keen/core/lab';
import type { LabCar, LabFactors, LabPhysics } from '@keen/core/lab';
import { WORLDS } from './worlds/worlds.ts';
import type { WorldName } from './worlds/worlds.ts';

export { WORLD_NAMES } from './worlds/worlds.ts';
export type { WorldName } from './worlds/worlds.ts';

/** Gives the middle of everything that is drawn: the usual car of a world. */
const MIDDLE: Random = { uniform: () => 0.5, normal: () => 0, exponential: () => Math.LN2 };

/** How the usual car of a world wears its tires. */
export function usualPhysics(world: WorldName, car: LabCar): LabPhysics {
  return WORLDS[world].createPhysics(car.drive, labState(car), MIDDLE);
}

/** One of the other cars that stand like this one. */
export interface OtherCar {
  car: LabCar;
  physics: LabPhysics;
  factors: LabFactors;
}

/**
 * Draws a car with the same settings: of another make, driver and road, on other tires.
 * @param seed - the same seed gives the same car
 */
export function drawOtherCar(world: WorldName, car: LabCar, seed: number): OtherCar {
  const random = createRandom(seed);
  const traits = labState(car);
  const faster = SPREAD.logWearRate * random.normal();
  traits[STATE.logWearRate]! += faster;
  NUISANCE_SPREADS.forEach((spread, i) => {
    traits[FIRST_NUISANCE + i] = spread * random.normal();
  });
  traits[STATE.noise] = NOISE.scale * random.normal();
  return {
    car: { ...car, rate: car.rate * Math.exp(faster) },
    physics: WORLDS[world].createPhysics(car.drive, traits, random),
    factors: WORLDS[world].drawFactors(traits, random),
  };
}
