import type { Draw } from '@keen/core';
import { STATE } from '@keen/core/engine';
import { formulaPhysics, labState, STEP_KM, wearOn } from '@keen/core/lab';
import type { LabCar, LabFactors, LabPlan } from '@keen/core/lab';
import { drawOtherCar } from '@keen/simulator/lab';
import type { WorldName } from '@keen/simulator/lab';

/** What other cars that stand alike have left: mean and spread at each step of a run. */
export interface Band {
  /** Step x wheel x rib, mm; a step every {@link BAND_KM}. */
  mean: Float32Array;
  sd: Float32Array;
  steps: number;
}

export const BAND_KM = 1000;
const OTHER_CARS = 40;
const RIBS = 12;
const EVERY = BAND_KM / STEP_KM;

/** What a visit's readings say: the mean car with its tires, and cars that it may be. */
export interface VisitAnswer {
  posteriorMean: readonly number[];
  /** What its twelve ribs lose against the formula. */
  factors: readonly number[];
  cars: readonly VisitCar[];
}

export type MeanCar = Pick<VisitAnswer, 'posteriorMean' | 'factors'>;

/** A car that a visit's readings allow: how it stands beside the mean of all such cars. */
export type VisitCar = Pick<Draw, 'state' | 'factors'>;

/**
 * Drives other cars with the same settings.
 * @param of - cars that a visit allows, and the mean of them; none for cars of any make and driver
 */
export function bandOf(plan: LabPlan, world: WorldName, of: VisitAnswer | null): Band {
  const steps = Math.floor(plan.km / BAND_KM);
  const sum = new Float64Array((steps + 1) * RIBS);
  const squares = new Float64Array(sum.length);
  const runs =
    of && world === 'own'
      ? of.cars.map((car) => () => runOfVisitCar(plan, of.posteriorMean, car))
      : Array.from({ length: OTHER_CARS }, (_, seed) => () => {
          const { car, physics, factors } = drawOtherCar(world, plan.car, seed + 1);
          return wearOn({ ...plan, car }, physics, factors);
        });
  for (const run of runs) {
    const { depthMm } = run();
    for (let step = 0; step <= steps; step++) {
      for (let rib = 0; rib < RIBS; rib++) {
        const mm = depthMm[step * EVERY * RIBS + rib]!;
        sum[step * RIBS + rib]! += mm;
        squares[step * RIBS + rib]! += mm * mm;
      }
    }
  }
  const count = runs.length;
  const mean = Float32Array.from(sum, (total) => total / count);
  const sd = Float32Array.from(squares, (total, i) =>
    Math.sqrt(Math.max(0, total / count - (sum[i]! / count) ** 2)),
  );
  return { mean, sd, steps };
}

/** One that the visit allows, with the same changes that were made to the mean of them. */
function runOfVisitCar(
  plan: LabPlan,
  posteriorMean: ArrayLike<number>,
  { state, factors }: VisitCar,
) {
  return wearOn(
    { ...plan, car: shifted(plan.car, posteriorMean, state) },
    formulaPhysics(plan.car.drive, state),
    factorsOf(factors),
  );
}

/** Twelve factors, tire by tire. */
export function factorsOf(list: ArrayLike<number>): LabFactors {
  const tires = [0, 1, 2, 3];
  return {
    tire: tires.map(() => 1),
    rib: tires.map((at) => [0, 1, 2].map((rib) => list[3 * at + rib]!)),
  };
}

const WHEELS = ['lf', 'rf', 'lr', 'rr'] as const;

function shifted(car: LabCar, posteriorMean: ArrayLike<number>, state: Float64Array): LabCar {
  const off = (element: number) => state[element]! - posteriorMean[element]!;
  const set = labState(car);
  const perWheel = (of: Record<(typeof WHEELS)[number], number>, by: (at: number) => number) =>
    Object.fromEntries(WHEELS.map((wheel, at) => [wheel, of[wheel] + by(at)])) as typeof of;
  return {
    ...car,
    camber: perWheel(car.camber, (at) => off(STATE.camber + at)),
    toe: perWheel(car.toe, (at) => off(STATE.toe + (at >> 1)) / 2),
    pressure: perWheel(car.pressure, (at) => off(STATE.pressure + at)),
    cornering: Math.max(0, car.cornering + off(STATE.cornering)),
    play: {
      front: Math.max(0, car.play.front + off(STATE.looseness)),
      rear: Math.max(0, car.play.rear + off(STATE.looseness + 1)),
    },
    rate: Math.exp(set[STATE.logWearRate]! + off(STATE.logWearRate)),
  };
}
