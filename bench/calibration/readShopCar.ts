import { parentPort } from 'node:worker_threads';
import { carEvidence, createDiagnosisRun } from '@keen/core';
import type { CarEvidence } from '@keen/core';
import type { ShopConstants } from '@keen/contract';
import { readingOf, simulateCar } from '@keen/simulator';
import type { Reading, WorldName } from '@keen/simulator';

/** A car of a shop: one to learn from, or one that is held out and read. */
export interface ShopCarTask {
  seed: number;
  world: WorldName;
  sweeps: number;
  /** What is true of the shop's cars; the usual when left out. */
  shop?: ShopConstants | undefined;
  /** Constants to read it by when it is learned from. */
  by?: ShopConstants | undefined;
  /** What was learned, for a car that is held out; `usual` where nothing of it is used. */
  learned?: ShopConstants | 'usual' | undefined;
}

export interface ShopCarRead {
  evidence?: CarEvidence | null;
  /** What is true of it, and what is said of it with the usual constants and the learned ones. */
  faults: number[];
  usual?: Reading;
  own?: Reading;
}

parentPort!.on('message', ({ seed, world, sweeps, shop, by, learned }: ShopCarTask) => {
  const { file, faults } = simulateCar(seed, world, shop);
  const read = (constants?: ShopConstants) => {
    const run = createDiagnosisRun(constants ? { ...file, constants } : file);
    run.step(sweeps);
    return readingOf(run.answer().diagnosis);
  };
  const heldOut = (by: ShopConstants | 'usual') => {
    const usual = read();
    return { usual, own: by === 'usual' ? usual : read(by) };
  };
  const result: ShopCarRead = learned
    ? { faults: [...faults], ...heldOut(learned) }
    : { faults: [...faults], evidence: carEvidence(file, sweeps, by) };
  parentPort!.postMessage(result);
});
