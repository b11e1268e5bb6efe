import type { CaseFile, ShopConstants } from '@keen/contract';
import type { Rib, Wheel } from '@keen/contract/words';
import {
  createAttribution,
  createFaultClassifier,
  createPosterior,
  createRandom,
  FAULT_COUNT,
  FIRST_NUISANCE,
  healthyState,
  resolveCase,
  STATE,
  tirePaths,
  WHEEL_ORDER,
} from '@keen/core/engine';
import type { Random, ResolvedCase } from '@keen/core/engine';
import { createPriorDraws } from './drawPrior.ts';
import { observe } from './observe.ts';
import { COMES_IN_AT_MM, drawPlan, emptyCase } from './plan.ts';
import type { Plan } from './plan.ts';
import type { CarPhysics } from './worlds/world.ts';
import { WORLDS } from './worlds/worlds.ts';
import type { WorldName } from './worlds/worlds.ts';

/** A simulated car: what a workshop would see of it, and what is true of it. */
export interface SimulatedCar {
  file: CaseFile;
  /** The true state over the tires' life, see the engine's STATE. */
  state: Float64Array;
  /** How it stands today. */
  today: Float64Array;
  /** 1 for each of the engine's FAULTS that is there. */
  faults: Uint8Array;
  /** What each of them took beyond mid-tolerance, mm, summed over the four worst ribs. */
  excessMm: readonly number[];
  /** Distance that the tires on the car still run to the legal limit, as the car stands today, km. */
  oldKm: number;
  /** Distance that a new set would run, as the car stands today, km. */
  newKm: number;
  /** True depth left at each rib, mm. */
  depthsMm: Record<Wheel, Record<Rib, number>>;
  /** What each of the twelve ribs has lost, mm, and what it loses against its physics. */
  lossMm: Float64Array;
  factors: Float64Array;
}

/** What is laid down about a car before it is drawn. */
export interface CarWish {
  plan?: Partial<Plan>;
  /** Changes what is wrong with it. @param right - the same car with nothing wrong */
  shape?: (state: Float64Array, right: Float64Array, random: Random) => void;
  /** The rib, 0 to 11, whose reading is wrong. */
  wrongRib?: number;
}

/** The constants of the physics, which a reader who knows this car's world would know; traits of the car are not among them. */
export const CONSTANTS: readonly number[] = [
  STATE.camberShare,
  STATE.toeShare,
  STATE.pressureShare,
  STATE.corneringShare,
  STATE.camberSlip,
  STATE.pressureRate,
  STATE.depthRate,
  STATE.corneringSlip,
  STATE.corneringSlip + 1,
  STATE.drivingSlip,
  STATE.drivingSlip + 1,
];

/** A stretch of a car's life in one state. */
export interface Phase {
  state: Float64Array;
  /** Part of the distance. */
  part: number;
}

/**
 * Draws a car from the prior, wears its tires by a world's physics and looks at it as a workshop would.
 * @param seed - the same seed gives the same car
 * @param shop - of a shop whose cars differ from the usual; the case does not tell of it
 * @param wish - what is laid down about it beforehand
 */
export function simulateCar(
  seed: number,
  world: WorldName = 'own',
  shop?: ShopConstants,
  wish: CarWish = {},
): SimulatedCar {
  const random = createRandom(seed);
  const plan = { ...drawPlan(random), ...wish.plan };
  const bare = resolveCase({ ...emptyCase(plan, ''), ...(shop && { constants: shop }) });
  const drawn = createPriorDraws(bare, seed ^ 0x5bd1e995)();
  const { lateFaults, wrongReading } = WORLDS[world];
  // From a source of its own: a car that nothing is laid down about stays as it was.
  wish.shape?.(drawn, putRight(drawn, bare), createRandom(seed ^ 0x2c1b3c6d));
  const physics = WORLDS[world].createPhysics(plan.drive, drawn, random);
  const factors = WORLDS[world].drawFactors(drawn, random);
  const phases = drawPhases(drawn, bare, lateFaults, random);
  const newDepthOff = [0, 1, 2, 3].map(() => 0.15 * random.normal());
  const losses = wearUntilVisit(plan, phases, physics, factors, random);
  const file = emptyCase(plan, `simulated ${seed}`);
  const trueNew = newDepthOff.map((off) => newDepthMm(file) + off);
  const depths = {} as Record<Wheel, Record<Rib, number>>;
  const meanLoss = {} as Record<Wheel, number>;
  WHEEL_ORDER.forEach((wheel, tire) => {
    const [inner, centre, outer] = losses[tire]!.map((loss) =>
      Math.max(0, trueNew[tire]! - loss),
    ) as [number, number, number];
    depths[wheel] = { inner, centre, outer };
    meanLoss[wheel] = losses[tire]!.reduce((sum, loss) => sum + loss, 0) / 3;
  });
  const state = lifeOf(phases);
  const today = phases.at(-1)!.state;
  const uneven = {
    healthy: 0.02 + 0.04 * random.uniform(),
    bouncing: 0.1 + 0.12 * random.uniform(),
  };
  const wrong =
    wish.wrongRib !== undefined
      ? (at: number) => at === wish.wrongRib
      : world === 'own'
        ? (at: number) => drawn[STATE.oddReading] === at + 1
        : () => random.uniform() < wrongReading;
  observe(file, plan, today, depths, meanLoss, uneven, wrong, random);

  const resolved = resolveCase(file);
  const faults = new Uint8Array(FAULT_COUNT);
  createFaultClassifier(resolved)(state, faults);
  const worst = losses.map((ribs) => ribs.indexOf(Math.max(...ribs)));
  const attribution = createAttribution(createPosterior(resolved), worst);
  attribution.add(plain(state), faults);
  return {
    file,
    state,
    today,
    faults,
    excessMm: attribution.excess(),
    depthsMm: depths,
    lossMm: Float64Array.from(losses.flat()),
    factors: Float64Array.from(
      factors.rib.flatMap((ribs, tire) => ribs.map((rib) => rib * factors.tire[tire]!)),
    ),
    ...ahead(resolved, today, physics, factors, world, losses, trueNew, random),
  };
}

/** A state without what the engine's formula takes for nuisances: excess is worked out by its plain form. */
export function plain(state: Float64Array): Float64Array {
  const copy = state.slice();
  copy.fill(0, FIRST_NUISANCE);
  return copy;
}

function newDepthMm(file: CaseFile): number {
  return file.tires.lf.newDepth * (file.units.depth === 'mm' ? 1 : 0.79375);
}

/** What can go wrong and be put right: first element of the state and how many. */
export const MENDABLE = [
  [STATE.camber, 4],
  [STATE.toe, 2],
  [STATE.pressure, 4],
  [STATE.looseness, 2],
  [STATE.bounce, 4],
] as const;

/**
 * The same car with angles and pressures in the middle of their tolerance, joints tight and nothing bouncing.
 * @param isMended - whether each of these kinds is; all of them when left out
 */
export function putRight(
  state: Float64Array,
  { tolerances: { camber, totalToe } }: ResolvedCase,
  isMended: () => boolean = () => true,
): Float64Array {
  const middle = ([low, high]: readonly [number, number]) => (low + high) / 2;
  const healthy = healthyState(
    [middle(camber.front), middle(camber.rear)],
    [middle(totalToe.front), middle(totalToe.rear)],
  );
  const right = state.slice();
  for (const [first, count] of MENDABLE) {
    if (!isMended()) continue;
    for (let i = 0; i < count; i++) right[first + i] = healthy[first + i]!;
  }
  return right;
}

/** Some faults began on the way: before, that angle or pressure was in the middle of its tolerance. */
function drawPhases(
  state: Float64Array,
  resolved: ResolvedCase,
  lateFaults: number,
  random: Random,
): Phase[] {
  if (random.uniform() >= lateFaults) return [{ state, part: 1 }];
  const before = putRight(state, resolved, () => random.uniform() >= 0.5);
  const part = random.uniform();
  return [
    { state: before, part },
    { state, part: 1 - part },
  ];
}

/** The state over a car's life: means, of looseness the root of the mean square. */
export function lifeOf(phases: readonly Phase[]): Float64Array {
  const mean = phases.at(-1)!.state.slice();
  const average = (at: number) =>
    phases.reduce((sum, { state, part }) => sum + part * state[at]!, 0);
  for (let at: number = STATE.camber; at < STATE.logWearRate; at++) mean[at] = average(at);
  for (const axle of [0, 1]) {
    mean[STATE.looseness + axle] = Math.sqrt(
      phases.reduce((sum, { state, part }) => sum + part * state[STATE.looseness + axle]! ** 2, 0),
    );
  }
  for (let tire = 0; tire < 4; tire++) {
    mean[STATE.bounce + tire] = average(STATE.bounce + tire) >= 0.2 ? 1 : 0;
  }
  return mean;
}

export interface Factors {
  tire: readonly number[];
  rib: readonly (readonly number[])[];
}

/** Wears the four tires; a car that wore out earlier comes in earlier. Changes the plan's distances. */
function wearUntilVisit(
  plan: Plan,
  phases: readonly Phase[],
  physics: CarPhysics,
  factors: Factors,
  random: Random,
): number[][] {
  const losses = lossesOf(plan, phases, physics, factors);
  const [least, most] = COMES_IN_AT_MM;
  const left = least + (most - least) * random.uniform();
  const worst = Math.max(...losses.flat());
  if (plan.newDepthMm - worst >= left) return losses;
  const shorter = (plan.newDepthMm - left) / worst;
  plan.distanceKm = Math.round(plan.distanceKm * shorter);
  plan.newerKm = Math.round(plan.newerKm * shorter);
  return lossesOf(plan, phases, physics, factors);
}

/** Steps in which the wear of a stretch is added up, since it changes with the depth that is left. */
const STEPS = 12;

/**
 * Wears the four tires.
 * @param marks - parts of each tire's distance at which its losses are noted on the way, ascending
 * @returns for each tire its losses at inner, centre and outer at each mark, and at the end
 */
export function lossesAt(
  plan: Plan,
  phases: readonly Phase[],
  physics: CarPhysics,
  factors: Factors,
  marks: readonly number[],
): number[][][] {
  const resolved = resolveCase(emptyCase(plan, ''));
  const ends = cumulated(phases.map(({ part }) => part));
  return tirePaths(resolved).map((path, tire) => {
    const lost = [0, 0, 0];
    const noted: number[][] = [];
    const total = path.thousandKm.reduce((sum, km) => sum + km, 0);
    const places = cumulated(Array.from(path.thousandKm, (km) => km / total));
    // Cut where anything changes, so that no step is partly one thing and partly another.
    const cuts = [
      0,
      ...places.flatMap((end, i) => {
        const start = places[i - 1] ?? 0;
        return Array.from({ length: STEPS }, (_, s) => start + ((end - start) * (s + 1)) / STEPS);
      }),
      ...ends,
      ...marks,
    ]
      // Sums of parts may end a little beyond the whole.
      .map((at) => Math.min(1, at))
      .toSorted((x, y) => x - y);
    for (const [i, to] of cuts.slice(1).entries()) {
      const from = cuts[i]!;
      const middle = (from + to) / 2;
      const at = (list: readonly number[]) =>
        Math.min(list.length - 1, list.filter((end) => middle > end).length);
      const { state } = phases[at(ends)]!;
      const rates = physics.rates(state, tire, path.positions[at(places)]!);
      for (let rib = 0; rib < 3; rib++) {
        lost[rib]! +=
          rates[rib]! *
          (to - from) *
          total *
          factors.tire[tire]! *
          factors.rib[tire]![rib]! *
          physics.depthFactor(Math.min(1, lost[rib]! / plan.newDepthMm));
      }
      while (noted.length < marks.length && to >= marks[noted.length]! - 1e-12) {
        noted.push([...lost]);
      }
    }
    return [...noted, lost];
  });
}

/** Sums up to each of some parts of a whole. */
function cumulated(parts: readonly number[]): number[] {
  let sum = 0;
  return parts.map((part) => (sum += part));
}

function lossesOf(
  plan: Plan,
  phases: readonly Phase[],
  physics: CarPhysics,
  factors: Factors,
): number[][] {
  return lossesAt(plan, phases, physics, factors, []).map((noted) => noted[0]!);
}

/** What the tires go on to do with the car as it stands today: those on it, and a new set. */
function ahead(
  resolved: ResolvedCase,
  today: Float64Array,
  physics: CarPhysics,
  factors: Factors,
  world: WorldName,
  lost: readonly (readonly number[])[],
  newDepths: readonly number[],
  random: Random,
): { oldKm: number; newKm: number } {
  const rotates = resolved.rotatable && resolved.rotations.length > 0;
  const fresh = WORLDS[world].drawFactors(plainFactors(today), random);
  const limit = resolved.limitsMm.legal;
  const life = (start: (tire: number, rib: number) => number, own: Factors) =>
    Math.min(
      ...WHEEL_ORDER.flatMap((_, tire) => {
        const places = rotates ? [tire % 2, (tire % 2) + 2] : [tire];
        const rates = places.map((place) => physics.rates(today, tire, place));
        return [0, 1, 2].map((rib) => {
          const rate =
            (rates.reduce((sum, at) => sum + at[rib]!, 0) / places.length) *
            own.tire[tire]! *
            own.rib[tire]![rib]!;
          const depth = newDepths[tire]!;
          let left = depth - start(tire, rib);
          let km = 0;
          const step = Math.max(0.05, (left - limit) / 20);
          while (left > limit && km < 400_000) {
            km += (1000 * step) / (rate * physics.depthFactor(1 - left / depth));
            left -= step;
          }
          return km;
        });
      }),
    );
  return {
    oldKm: life((tire, rib) => lost[tire]![rib]!, factors),
    newKm: life(() => 0, fresh),
  };
}

/** A new set is of one age, and none of it is odd from the start. */
function plainFactors(state: Float64Array): Float64Array {
  const copy = state.slice();
  copy[STATE.oddTire] = 0;
  copy[STATE.otherAge] = 0;
  return copy;
}
