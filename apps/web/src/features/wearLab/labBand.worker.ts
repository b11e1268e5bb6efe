import type { CaseFile } from '@keen/contract';
import { createDiagnosisRun, LIVE_SWEEPS } from '@keen/core';
import type { LabPlan } from '@keen/core/lab';
import type { WorldName } from '@keen/simulator/lab';
import { bandOf } from './otherCars.ts';
import type { Band, MeanCar, VisitAnswer } from './otherCars.ts';

/** Reads a visit's car, or drives other cars that stand like the one on the page. */
export type LabQuestion =
  | { kind: 'visit'; file: CaseFile }
  | { kind: 'band'; id: number; plan: LabPlan; world: WorldName; ofVisit: boolean };

export type LabReply =
  | { kind: 'visit'; mean: MeanCar }
  | { kind: 'band'; id: number; band: Band }
  | { kind: 'failed'; text: string };

const MOST_CARS = 60;
let visit: VisitAnswer | null = null;
let newest: LabQuestion | null = null;

self.onmessage = ({ data }: MessageEvent<LabQuestion>) => {
  if (data.kind === 'visit') {
    readVisit(data.file);
    return;
  }
  // While one is worked out newer ones may arrive: only the last of them is answered.
  const isWaiting = newest !== null;
  newest = data;
  if (!isWaiting) setTimeout(answer, 0);
};

function answer(): void {
  const asked = newest;
  newest = null;
  if (asked?.kind !== 'band') return;
  const { id, plan, world, ofVisit } = asked;
  try {
    reply({ kind: 'band', id, band: bandOf(plan, world, ofVisit ? visit : null) });
  } catch (error) {
    reply({ kind: 'failed', text: error instanceof Error ? error.message : String(error) });
  }
}

function readVisit(file: CaseFile): void {
  try {
    const run = createDiagnosisRun(file);
    run.step(LIVE_SWEEPS);
    const { posteriorMean } = run.answer();
    const cars = run.possibleCars();
    const stride = Math.max(1, Math.ceil(cars.length / MOST_CARS));
    const factors = Array.from(
      { length: 12 },
      (_, rib) => cars.reduce((sum, car) => sum + car.factors[rib]!, 0) / cars.length,
    );
    visit = { posteriorMean, factors, cars: cars.filter((_, i) => i % stride === 0) };
    reply({ kind: 'visit', mean: { posteriorMean, factors } });
  } catch (error) {
    reply({ kind: 'failed', text: error instanceof Error ? error.message : String(error) });
  }
}

function reply(message: LabReply): void {
  self.postMessage(message);
}
