import { parentPort } from 'node:worker_threads';
import { createDiagnosisRun } from '@keen/core';
import { CONSTANTS, readChart, readingOf, simulateCar } from '@keen/simulator';
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
}

parentPort!.on('message', ({ seed, world, sweeps }: Task) => {
  const { file, state, faults, excessMm } = simulateCar(seed, world);
  const read = (known?: ReadonlyMap<number, number>) => {
    const run = createDiagnosisRun(file, known);
    run.step(sweeps);
    return readingOf(run.answer().diagnosis);
  };
  const result: CarRead = {
    truth: { faults: [...faults], excessMm },
    ours: read(),
    knowing: read(new Map(CONSTANTS.map((element) => [element, state[element]!]))),
    chart: readChart(file),
  };
  parentPort!.postMessage(result);
});
