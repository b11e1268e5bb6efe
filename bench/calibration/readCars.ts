import { parentPort } from 'node:worker_threads';
import { createDiagnosisRun } from '@keen/core';
import { CONSTANTS, futureLife, readChart, readingOf, simulateCar } from '@keen/simulator';
import type { ChartReading, Reading, Truth, World } from '@keen/simulator';

/** A car to read. */
export interface Task {
  seed: number;
  world: World;
  sweeps: number;
}

/** One car, read three ways. */
export interface CarRead {
  truth: Truth;
  ours: Reading;
  /** By a reader who knows the constants of this car's physics. */
  knowing: Reading;
  chart: ChartReading;
  /** Where the life of a new set fell against the 80 % interval of the outlook. */
  forecast: 'earlier' | 'within' | 'later';
}

parentPort!.on('message', ({ seed, world, sweeps }: Task) => {
  const { file, state, faults, excessMm } = simulateCar(seed, world);
  const read = (known?: ReadonlyMap<number, number>) => {
    const run = createDiagnosisRun(file, known);
    run.step(sweeps);
    return run;
  };
  const ours = read();
  const { lifeKm } = ours.outlook().courses.find(({ course }) => course === 'fitOnly')!;
  const life = futureLife(file, state, seed ^ 0x3c6ef372);
  const result: CarRead = {
    truth: { faults: [...faults], excessMm },
    ours: readingOf(ours.answer().diagnosis),
    knowing: readingOf(
      read(new Map(CONSTANTS.map((element) => [element, state[element]!]))).answer().diagnosis,
    ),
    chart: readChart(file),
    forecast: life < lifeKm.low ? 'earlier' : life <= lifeKm.high ? 'within' : 'later',
  };
  parentPort!.postMessage(result);
});
