import type { CaseFile } from '@keen/contract';
import {
  foldEntries,
  draftToCase,
  createDiagnosisRun,
  FULL_SWEEPS,
  LIVE_SWEEPS,
  resolveCase,
  tireLoss,
  tirePaths,
  healthyState,
} from '@keen/core';
import { exampleCase, wear } from '../packages/core/tests/exampleCase.ts';

/** Times the two answers on one core, as medians and as ratios to one forward evaluation. */

const ROUNDS = 7;

const CASES: Record<string, CaseFile> = {
  healthy: exampleCase(),
  toeIn: exampleCase((file) => {
    wear(file, 'lf', [5.3, 4.5, 3.4]);
    wear(file, 'rf', [5.2, 4.4, 3.3]);
    file.tires.lf.feather = 'catchesOutward';
  }),
  rotated: exampleCase((file) => {
    wear(file, 'lr', [2.2, 4.6, 5]);
    file.rotations = [{ atDistance: 15_000, moves: { lf: 'lr', rf: 'rr', lr: 'lf', rr: 'rf' } }];
  }),
  empty: draftToCase(foldEntries({}, []), 'nothing read').file,
};

function quantile(values: readonly number[], part: number): number {
  const sorted = values.toSorted((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))] ?? Number.NaN;
}

function time(run: () => void): number {
  const start = performance.now();
  run();
  return performance.now() - start;
}

/** One forward evaluation of all four tires, ms. */
function forwardMs(file: CaseFile): number {
  const resolved = resolveCase(file);
  const paths = tirePaths(resolved);
  const state = healthyState([0, 0], [0, 0]);
  const out = new Float64Array(3);
  const turns = 200_000;
  return (
    time(() => {
      for (let i = 0; i < turns; i++) for (const path of paths) tireLoss(state, path, out);
    }) / turns
  );
}

const live: number[] = [];
const full: number[] = [];
for (let round = 0; round < ROUNDS; round++) {
  for (const file of Object.values(CASES)) {
    let run = createDiagnosisRun(file);
    live.push(
      time(() => {
        run = createDiagnosisRun(file);
        run.step(LIVE_SWEEPS);
        run.answer();
      }),
    );
    full.push(
      live.at(-1)! +
        time(() => {
          run.step(FULL_SWEEPS);
          run.answer();
        }),
    );
  }
}
const forward = forwardMs(CASES.healthy!);
for (const [name, times] of Object.entries({ quick: live, full })) {
  const median = quantile(times, 0.5);
  console.log(
    `${name}: median ${median.toFixed(0)} ms, p95 ${quantile(times, 0.95).toFixed(0)} ms, ${Math.round(median / forward).toLocaleString('en')} forward evaluations`,
  );
}
console.log(`full / quick: ${(quantile(full, 0.5) / quantile(live, 0.5)).toFixed(1)}`);
