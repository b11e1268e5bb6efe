import { parentPort } from 'node:worker_threads';
import { createDiagnosisRun } from '@keen/core';
import { resolveCase } from '@keen/core/engine';
import { readingOf, simulateVisits } from '@keen/simulator';
import type { Reading, WorldName } from '@keen/simulator';

/** A car to read that has been here before. */
export interface VisitTask {
  seed: number;
  world: WorldName;
  sweeps: number;
  visits: number;
}

/** What is true of a car since its last visit, and what is said of it with and without its history. */
export interface VisitsRead {
  faults: number[];
  withHistory: Reading;
  alone: Reading;
  /** What the history was taken for. */
  since: 'putRight' | 'changed' | 'whole';
}

parentPort!.on('message', ({ seed, world, sweeps, visits }: VisitTask) => {
  const { file, alone, faults } = simulateVisits(seed, world, visits);
  const read = (one: typeof file) => {
    const run = createDiagnosisRun(one);
    run.step(sweeps);
    return readingOf(run.answer().diagnosis);
  };
  const result: VisitsRead = {
    faults: [...faults],
    withHistory: read(file),
    alone: read(alone),
    since: resolveCase(file).since?.because ?? 'whole',
  };
  parentPort!.postMessage(result);
});
