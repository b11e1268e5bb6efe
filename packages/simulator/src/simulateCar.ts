import type { CaseFile } from '@keen/contract';
import type { Rib, Wheel } from '@keen/contract/words';
import {
  createAttribution,
  createFaultReader,
  createPosterior,
  createRandom,
  FAULT_COUNT,
  resolveCase,
  SPREAD,
  STATE,
  tirePaths,
  WHEEL_ORDER,
} from '@keen/core/engine';
import type { Random } from '@keen/core/engine';
import { CONSTANT_NAMES, createPriorDraws } from './drawPrior.ts';
import { observe } from './observe.ts';
import { otherPhysics, ownPhysics } from './physics.ts';
import { COMES_IN_AT_MM, drawPlan, emptyCase } from './plan.ts';
import type { Plan } from './plan.ts';

/** Which physics wears the simulated cars. */
export type World = 'own' | 'other';

/** A simulated car: what a workshop would see of it, and what is true of it. */
export interface SimulatedCar {
  file: CaseFile;
  /** The true state, see the engine's STATE. */
  state: Float64Array;
  /** 1 for each of the engine's FAULTS that is there. */
  faults: Uint8Array;
  /** What each of them took beyond mid-tolerance, mm, summed over the four worst ribs. */
  excessMm: readonly number[];
}

/** The constants of the physics, which a reader who knows this car's world would know. */
export const CONSTANTS: readonly number[] = [
  ...CONSTANT_NAMES.map((name) => STATE[name]),
  STATE.drivingSlip,
  STATE.drivingSlip + 1,
];

/**
 * Draws a car from the prior with jittered constants, wears its tires and looks at it as a workshop
 * would.
 * @param seed - the same seed gives the same car
 */
export function simulateCar(seed: number, world: World = 'own'): SimulatedCar {
  const random = createRandom(seed);
  const plan = drawPlan(random);
  const bare = emptyCase(plan, `simulated ${seed}`);
  const state = createPriorDraws(resolveCase(bare), seed ^ 0x5bd1e995)();
  jitterConstants(state, random);
  const noise = drawNoise(random, world);
  const losses = comeIn(plan, state, noise, world, random);
  const file = emptyCase(plan, `simulated ${seed}`);
  const trueNewDepth = noise.newDepth.map((off) => newDepthMm(file) + off);
  const depths = {} as Record<Wheel, Record<Rib, number>>;
  const meanLoss = {} as Record<Wheel, number>;
  WHEEL_ORDER.forEach((wheel, tire) => {
    const [inner, centre, outer] = losses[tire]!.map((loss) =>
      Math.max(0, trueNewDepth[tire]! - loss),
    ) as [number, number, number];
    depths[wheel] = { inner, centre, outer };
    meanLoss[wheel] = losses[tire]!.reduce((sum, loss) => sum + loss, 0) / 3;
  });
  observe(file, plan, state, depths, meanLoss, noise.uneven, random);

  const resolved = resolveCase(file);
  const faults = new Uint8Array(FAULT_COUNT);
  createFaultReader(resolved)(state, faults);
  const worst = losses.map((ribs) => ribs.indexOf(Math.max(...ribs)));
  const attribution = createAttribution(createPosterior(resolved), worst);
  attribution.add(state, faults);
  return { file, state, faults, excessMm: attribution.excess() };
}

function newDepthMm(file: CaseFile): number {
  return file.tires.lf.newDepth * (file.units.depth === 'mm' ? 1 : 0.79375);
}

/** Lognormal constants, a little wider than a normal of the same spread in the tails. */
function jitterConstants(state: Float64Array, random: Random): void {
  for (const name of CONSTANT_NAMES) {
    state[STATE[name]] = Math.exp(SPREAD[name] * random.normal()) - 1;
  }
  for (let axle = 0; axle < 2; axle++) {
    state[STATE.drivingSlip + axle] = Math.exp(SPREAD.drivingSlip * random.normal()) - 1;
  }
}

interface Noise {
  tire: readonly number[];
  rib: readonly (readonly number[])[];
  newDepth: readonly number[];
  uneven: { healthy: number; bouncing: number };
}

function drawNoise(random: Random, world: World): Noise {
  const draw = world === 'own' ? random.normal : () => studentT(random);
  const four = [0, 1, 2, 3];
  const size = 0.1 + 0.05 * random.uniform();
  return {
    tire: four.map(() => Math.exp(size * draw())),
    rib: four.map(() => [0, 1, 2].map(() => Math.exp(size * draw()))),
    newDepth: four.map(() => 0.15 * random.normal()),
    uneven: {
      healthy: 0.02 + 0.04 * random.uniform(),
      bouncing: 0.1 + 0.12 * random.uniform(),
    },
  };
}

/** Student's t with 4 degrees of freedom, scaled to variance 1. */
function studentT(random: Random): number {
  const square = [0, 1, 2, 3].reduce((sum) => sum + random.normal() ** 2, 0) / 4;
  return random.normal() / Math.sqrt(square) / Math.SQRT2;
}

/** Wears the four tires; a car that wore out earlier comes in earlier. Changes the plan's distance. */
function comeIn(
  plan: Plan,
  state: Float64Array,
  noise: Noise,
  world: World,
  random: Random,
): number[][] {
  const physics = world === 'own' ? ownPhysics : otherPhysics;
  const lossesNow = () => {
    const paths = tirePaths(resolveCase(emptyCase(plan, '')));
    return paths.map((path, tire) => {
      const out = new Float64Array(3);
      physics(state, path, out);
      return [...out].map((loss, rib) => loss * noise.tire[tire]! * noise.rib[tire]![rib]!);
    });
  };
  const losses = lossesNow();
  const [least, most] = COMES_IN_AT_MM;
  const left = least + (most - least) * random.uniform();
  const worst = Math.max(...losses.flat());
  if (plan.newDepthMm - worst >= left) return losses;
  plan.distanceKm = Math.round((plan.distanceKm * (plan.newDepthMm - left)) / worst);
  return lossesNow();
}
