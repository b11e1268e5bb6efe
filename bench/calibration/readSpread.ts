import { parentPort } from 'node:worker_threads';
import { createDiagnosisRun, createRandom, READING_SD_MM } from '@keen/core';
import type { CaseFile } from '@keen/contract';
import { readingOf, simulateCar } from '@keen/simulator';
import type { Reading, WorldName } from '@keen/simulator';

/** A car whose readings scatter more than usual. */
export interface SpreadTask {
  seed: number;
  world: WorldName;
  sweeps: number;
  /** Spread of one reading, mm. */
  sdMm: number;
}

/** What is true of it, and what is said of it when the spread is known and when it is not. */
export interface SpreadRead {
  faults: number[];
  known: Reading;
  unknown: Reading;
}

const MM_PER_IN32 = 0.79375;
/** Readings of another stream than the car's own. */
const STREAM = 0x5bd1;

parentPort!.on('message', ({ seed, world, sweeps, sdMm }: SpreadTask) => {
  const { file, faults } = simulateCar(seed, world);
  const inMm = file.units.depth === 'mm' ? 1 : MM_PER_IN32;
  const blurred = blur(file, Math.sqrt(sdMm ** 2 - READING_SD_MM ** 2) / inMm, seed);
  const read = (one: CaseFile) => {
    const run = createDiagnosisRun(one);
    run.step(sweeps);
    return readingOf(run.answer().diagnosis);
  };
  const result: SpreadRead = {
    faults: [...faults],
    known: read({ ...blurred, readingSpread: sdMm / inMm }),
    unknown: read(blurred),
  };
  parentPort!.postMessage(result);
});

/** The same car read by a less steady hand. */
function blur(file: CaseFile, sd: number, seed: number): CaseFile {
  const { normal } = createRandom(seed ^ STREAM);
  const decimals = file.units.depth === 'mm' ? 1 : 0;
  const off = (depth: number | null, newDepth: number) =>
    depth === null
      ? null
      : Number(Math.min(newDepth, Math.max(0, depth + sd * normal())).toFixed(decimals));
  const tires = Object.fromEntries(
    Object.entries(file.tires).map(([wheel, tire]) => [
      wheel,
      {
        ...tire,
        stations: tire.stations.map(({ inner, centre, outer }) => ({
          inner: off(inner, tire.newDepth),
          centre: off(centre, tire.newDepth),
          outer: off(outer, tire.newDepth),
        })),
      },
    ]),
  ) as CaseFile['tires'];
  return { ...file, tires };
}
