import { writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { LOOSE_DEG } from '@keen/core/engine';
import { simulateCar } from '@keen/simulator';
import { summarise } from '../statistics.ts';
import type { JagsChain } from './runJags.ts';
import { runJags } from './runJags.ts';

/**
 * Samples simulated cars with JAGS (Debian's package `jags`), run long, and keeps its answers for the
 * tests: an independent check of the engine's sampler.
 *
 *     npm run jags -- [--sweeps 60000] [--chains 4] [--out FILE]
 */

const { values } = parseArgs({
  options: {
    sweeps: { type: 'string', default: '60000' },
    chains: { type: 'string', default: '4' },
    out: {
      type: 'string',
      default: fileURLToPath(new URL('../../packages/core/tests/jags.json', import.meta.url)),
    },
  },
});
const sweeps = Number(values.sweeps);
const chains = Number(values.chains);
const BURN_IN = 4000;
const THIN = 10;

/** Simulated cars that between them have every kind of evidence. */
const SEEDS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];

type Summary = Record<string, { mean: number; sd: number; error: number }>;

function summary(runs: readonly JagsChain[]): Summary {
  const result: Summary = {};
  const put = (name: string, of: (run: JagsChain) => Float64Array) => {
    const { mean, sd, error } = summarise(runs.map(of));
    result[name] = { mean: round(mean), sd: round(sd), error: round(error) };
  };
  for (const name of runs[0]!.keys()) put(name, (run) => run.get(name)!);
  for (const axle of [1, 2]) {
    put(`isLoose[${axle}]`, (run) =>
      run.get(`loose[${axle}]`)!.map((x) => (x >= LOOSE_DEG ? 1 : 0)),
    );
  }
  return result;
}

function round(value: number): number {
  return Number(value.toPrecision(5));
}

const jobs = SEEDS.flatMap((seed) =>
  Array.from({ length: chains }, (_, chain) => ({ seed, chain })),
);
const done = new Map(SEEDS.map((seed) => [seed, [] as JagsChain[]]));
let finished = 0;
await Promise.all(
  Array.from({ length: availableParallelism() }, async () => {
    for (let job = jobs.shift(); job; job = jobs.shift()) {
      const { seed, chain } = job;
      done.get(seed)!.push(await runJags(simulateCar(seed).file, chain, sweeps, THIN, BURN_IN));
      process.stderr.write(`\r${++finished} of ${SEEDS.length * chains} chains`);
    }
  }),
);
const cases = SEEDS.map((seed) => ({
  seed,
  file: simulateCar(seed).file,
  summary: summary(done.get(seed)!),
}));
writeFileSync(values.out, `${JSON.stringify({ sweeps: sweeps * chains, cases }, null, 1)}\n`);
for (const { seed, summary: found } of cases) {
  const worst = Object.entries(found).reduce((a, b) =>
    b[1].error / (b[1].sd || 1) > a[1].error / (a[1].sd || 1) ? b : a,
  );
  console.log(
    `car ${seed}: largest Monte Carlo error ${(worst[1].error / worst[1].sd).toFixed(3)} sd (${worst[0]})`,
  );
}
