import { availableParallelism } from 'node:os';
import { parseArgs } from 'node:util';
import type { CaseFile } from '@keen/contract';
import type { Answer } from '@keen/core';
import { createDiagnosisRun, FULL_SWEEPS, LIVE_SWEEPS } from '@keen/core';
import {
  createPosterior,
  createRandom,
  createChain,
  healthyState,
  resolveCase,
  STATE,
  tireLoss,
  tirePaths,
} from '@keen/core/engine';
import { readingOf, simulateCar } from '@keen/simulator';
import { runJags } from './jags/runJags.ts';
import { summarise } from './statistics.ts';

/**
 * Times the two answers on one core and what they are worth, over simulated cars; as ratios in one
 * run, since machines differ.
 *
 *     npm run bench -- [--cars 40]
 */

const { values } = parseArgs({ options: { cars: { type: 'string', default: '40' } } });
const files = Array.from({ length: Number(values.cars) }, (_, i) => simulateCar(i + 1).file);
/** Cars on which both samplers are set against each other; JAGS takes its time. */
const AGAINST_JAGS = files.slice(0, 5);
const JAGS_SWEEPS = [1000, 5000] as const;

function quantile(numbers: readonly number[], part: number): number {
  const sorted = numbers.toSorted((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))] ?? Number.NaN;
}

function timed<T>(run: () => T): { ms: number; result: T } {
  const start = performance.now();
  const result = run();
  return { ms: performance.now() - start, result };
}

/** One forward evaluation of all four tires, ms. */
function forwardMs(file: CaseFile): number {
  const paths = tirePaths(resolveCase(file));
  const state = healthyState([0, 0], [0, 0]);
  const out = new Float64Array(3);
  const turns = 300_000;
  const { ms } = timed(() => {
    for (let i = 0; i < turns; i++) for (const path of paths) tireLoss(state, path, out);
  });
  return ms / turns;
}

function rms(numbers: readonly number[]): number {
  return Math.sqrt(numbers.reduce((sum, x) => sum + x * x, 0) / numbers.length);
}

/** Estimates of an answer in a fixed order. */
function estimates({ diagnosis }: Answer) {
  const { wheels, axles } = diagnosis;
  return [
    ...Object.values(wheels).flatMap(({ camber, pressureRatio }) => [camber, pressureRatio]),
    axles.front.totalToe,
    axles.rear.totalToe,
  ];
}

const live: number[] = [];
const full: number[] = [];
const chanceOff: number[] = [];
const meanOff: number[] = [];
// The first car only warms the machine up.
for (const [i, file] of [files[0]!, ...files].entries()) {
  const run = createDiagnosisRun(file);
  const started = timed(() => {
    const fresh = createDiagnosisRun(file);
    fresh.step(LIVE_SWEEPS);
    return fresh.answer();
  });
  const whole = timed(() => {
    run.step(FULL_SWEEPS);
    return run.answer();
  });
  if (i === 0) continue;
  live.push(started.ms);
  full.push(whole.ms);
  const quick = readingOf(started.result.diagnosis).chances;
  const long = readingOf(whole.result.diagnosis).chances;
  Array.from(quick).forEach((chance, column) => chanceOff.push(chance - long[column]!));
  const quickMeans = estimates(started.result);
  estimates(whole.result).forEach(({ mean, sd }, e) =>
    meanOff.push((quickMeans[e]!.mean - mean) / sd),
  );
}

const forward = forwardMs(files[0]!);
console.log(`${files.length} simulated cars, one core of ${availableParallelism()}`);
for (const [name, times] of Object.entries({ live, full })) {
  const median = quantile(times, 0.5);
  console.log(
    `${name}: median ${median.toFixed(0)} ms, p95 ${quantile(times, 0.95).toFixed(0)} ms, ${Math.round(median / forward).toLocaleString('en')} forward evaluations`,
  );
}
console.log(
  `live against full: chances ${rms(chanceOff).toFixed(4)} rms, means ${rms(meanOff).toFixed(3)} sd rms; full takes ${(quantile(full, 0.5) / quantile(live, 0.5)).toFixed(1)} times as long`,
);

/** Median over cambers, toes and pressures of the independent draws a second. */
function medianRate(chains: Map<string, Float64Array[]>, seconds: number): number {
  return quantile(
    [...chains.values()].map((draws) => summarise(draws).effective / seconds),
    0.5,
  );
}

const WATCHED = [
  ...[0, 1, 2, 3].map((w) => [`camber[${w + 1}]`, STATE.camber + w] as const),
  ...[0, 1].map((a) => [`toe[${a + 1}]`, STATE.toe + a] as const),
  ...[0, 1, 2, 3].map((w) => [`pressure[${w + 1}]`, STATE.pressure + w] as const),
];

function ownRate(file: CaseFile): number {
  const posterior = createPosterior(resolveCase(file));
  const random = createRandom(1);
  const archive: Float64Array[] = [];
  const length = FULL_SWEEPS / 4;
  const chains = new Map(WATCHED.map(([name]) => [name, [] as Float64Array[]]));
  const { ms } = timed(() => {
    for (let chain = 0; chain < 4; chain++) {
      const run = createChain(posterior, random, chain, archive);
      const draws = WATCHED.map(() => new Float64Array(length));
      for (let i = -120; i < length; i++) {
        run.sweep();
        if (i < 0) continue;
        WATCHED.forEach(([, element], w) => (draws[w]![i] = run.state[element]!));
      }
      WATCHED.forEach(([name], w) => chains.get(name)!.push(draws[w]!));
    }
  });
  return medianRate(chains, ms / 1000);
}

/** Independent draws a second of JAGS, its compiling not counted. */
async function jagsRate(file: CaseFile): Promise<number> {
  const [short, long] = JAGS_SWEEPS;
  const run = async (sweeps: number) => {
    const start = performance.now();
    const chain = await runJags(file, 0, sweeps, 1, 500);
    return { chain, seconds: (performance.now() - start) / 1000 };
  };
  const a = await run(short);
  const b = await run(long);
  const seconds = ((b.seconds - a.seconds) * long) / (long - short);
  return medianRate(new Map(WATCHED.map(([name]) => [name, [b.chain.get(name)!]])), seconds);
}

const ratios: number[] = [];
for (const [i, file] of AGAINST_JAGS.entries()) {
  const own = ownRate(file);
  console.log(`car ${i + 1}: ${own.toFixed(0)} independent draws a second`);
  try {
    const jags = await jagsRate(file);
    ratios.push(own / jags);
    console.log(`  JAGS ${jags.toFixed(0)}: ours are ${(own / jags).toFixed(0)} times as many`);
  } catch (error) {
    console.log(`  no comparison: ${error instanceof Error ? error.message : String(error)}`);
  }
}
if (ratios.length > 0) console.log(`median of the ratios: ${quantile(ratios, 0.5).toFixed(0)}`);
