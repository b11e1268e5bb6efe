import { parentPort } from 'node:worker_threads';
import { createDiagnosisRun } from '@keen/core';
import { STATE } from '@keen/core/engine';
import { CONSTANTS, readChart, readingOf, simulateCar } from '@keen/simulator';
import type { ChartReading, Reading, Truth, WorldName } from '@keen/simulator';
import { featuresOf } from './features.ts';

/** A car to read. */
export interface Task {
  seed: number;
  world: WorldName;
  sweeps: number;
  /** Only the truth and the features, for the learner to train on. */
  isForTraining: boolean;
}

/** Where a truth fell against an 80 % interval. */
export type Fell = 'below' | 'within' | 'above';

/** One car, read several ways. */
export interface CarRead {
  truth: Truth;
  /** What a plain learner sees of it. */
  features: number[];
  ours?: Reading;
  /** By a reader who knows the constants of this car's physics; in our own world only. */
  knowing?: Reading;
  chart?: ChartReading;
  /** Truths against their 80 % intervals. */
  intervals?: Record<string, Fell[]>;
}

/** Half of the 80 % interval of a normal, in standard deviations. */
const HALF_80 = 1.2815515655446004;

parentPort!.on('message', ({ seed, world, sweeps, isForTraining }: Task) => {
  const car = simulateCar(seed, world);
  const { file, state, faults, excessMm } = car;
  const result: CarRead = {
    truth: { faults: [...faults], excessMm },
    features: featuresOf(file),
  };
  if (!isForTraining) {
    const read = (known?: ReadonlyMap<number, number>) => {
      const run = createDiagnosisRun(file, known);
      run.step(sweeps);
      return run;
    };
    const ours = read();
    const { diagnosis } = ours.answer();
    result.ours = readingOf(diagnosis);
    result.chart = readChart(file);
    if (world === 'own') {
      const known = new Map(CONSTANTS.map((element) => [element, state[element]!]));
      result.knowing = readingOf(read(known).answer().diagnosis);
    }
    const fell = (value: number, low: number, high: number): Fell =>
      value < low ? 'below' : value > high ? 'above' : 'within';
    const of = (value: number, { mean, sd }: { mean: number; sd: number }) =>
      fell(value, mean - HALF_80 * sd, mean + HALF_80 * sd);
    const { wheels, axles } = diagnosis;
    const four = [wheels.lf, wheels.rf, wheels.lr, wheels.rr];
    const outlook = ours.outlook();
    const { lifeKm } = outlook.courses.find(({ course }) => course === 'fitOnly')!;
    result.intervals = {
      camber: four.map((wheel, i) => of(state[STATE.camber + i]!, wheel.camber)),
      toe: [axles.front, axles.rear].map((axle, i) => of(state[STATE.toe + i]!, axle.totalToe)),
      pressure: four.map((wheel, i) => of(state[STATE.pressure + i]!, wheel.pressureRatio)),
      'tires on the car': outlook.oldKm
        ? [fell(car.oldKm, outlook.oldKm.low, outlook.oldKm.high)]
        : [],
      'new set': [fell(Math.min(car.newKm, 150_000), lifeKm.low, lifeKm.high)],
    };
  }
  parentPort!.postMessage(result);
});
