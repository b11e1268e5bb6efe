import { availableParallelism } from 'node:os';
import { parseArgs } from 'node:util';
import { Worker } from 'node:worker_threads';
import { FULL_SWEEPS } from '@keen/core';
import { chartReadings, scoreCars, scoreFlags } from '@keen/simulator';
import type { CarScores, FlagScores, Reading, World } from '@keen/simulator';
import type { CarRead, Task } from './readCars.ts';

/**
 * How well the diagnosis is calibrated: simulated cars read by it, by a plain rule chart, and by a
 * reader who knows the constants of each car's physics.
 *
 *     npm run calibration -- [--cars 2000] [--sweeps 8000] [--first 1] [--world own|other|both]
 */

const { values } = parseArgs({
  options: {
    cars: { type: 'string', default: '2000' },
    sweeps: { type: 'string', default: String(FULL_SWEEPS) },
    first: { type: 'string', default: '1' },
    world: { type: 'string', default: 'both' },
  },
});
const cars = Number(values.cars);
const sweeps = Number(values.sweeps);
const first = Number(values.first);
const worlds: World[] = values.world === 'both' ? ['own', 'other'] : [values.world as World];
if (![cars, sweeps, first].every((n) => Number.isInteger(n) && n > 0)) {
  throw new RangeError('--cars, --sweeps and --first are whole numbers above zero');
}

/** Reads all cars on all cores, with progress on standard error. */
function readAll(world: World): Promise<CarRead[]> {
  const results: CarRead[] = [];
  let next = 0;
  let done = 0;
  return new Promise((resolve, reject) => {
    for (let i = 0; i < Math.min(cars, availableParallelism()); i++) {
      const worker = new Worker(new URL('../worker.mjs', import.meta.url), {
        workerData: { module: new URL('./readCars.ts', import.meta.url).href },
      });
      let current = -1;
      const give = () => {
        if (next >= cars) return void worker.terminate();
        current = next++;
        worker.postMessage({ seed: first + current, world, sweeps } satisfies Task);
      };
      worker.on('message', (result: CarRead) => {
        results[current] = result;
        done++;
        if (process.stderr.isTTY || done % 100 === 0) {
          process.stderr.write(`\r${world}: ${done} of ${cars} cars`);
        }
        if (done === cars) resolve(results);
        give();
      });
      worker.on('error', reject);
      give();
    }
  });
}

function table(rows: readonly (readonly (string | number)[])[]): string {
  const text = rows.map((row) =>
    row.map((cell) => (typeof cell === 'number' ? cell.toFixed(3) : cell)),
  );
  const widths = text[0]!.map((_, column) => Math.max(...text.map((row) => row[column]!.length)));
  return text
    .map((row) =>
      row
        .map((cell, i) => (i === 0 ? cell.padEnd(widths[i]!) : cell.padStart(widths[i]!)))
        .join('  '),
    )
    .join('\n');
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

const KEYS = ['logLoss', 'brier', 'auc', 'calibrationError'] as const;

function report(world: World, read: readonly CarRead[]): void {
  const truths = read.map(({ truth }) => truth);
  const readers: Record<string, readonly Reading[]> = {
    ours: read.map(({ ours }) => ours),
    chart: chartReadings(
      truths,
      read.map(({ chart }) => chart),
    ),
    best: read.map(({ knowing }) => knowing),
  };
  const names = Object.keys(readers);
  const flags = Object.fromEntries(
    names.map((name) => [name, scoreFlags(truths, readers[name]!)]),
  ) as Record<string, FlagScores[]>;
  const whole = Object.fromEntries(
    names.map((name) => [name, scoreCars(truths, readers[name]!)]),
  ) as Record<string, CarScores>;

  console.log(
    `\n${read.length} cars, ${world === 'own' ? 'worn by our own formula with jittered constants' : 'worn by another formula'}, ${sweeps} sweeps`,
  );
  console.log('best: a reader who knows the constants of each car’s physics\n');
  const header = ['flag', 'there'].concat(
    KEYS.flatMap((key) =>
      names.map((name) => `${name} ${key === 'calibrationError' ? 'ece' : key}`),
    ),
  );
  const rows = flags.ours!.map(({ flag, prevalence }, i) => [
    flag,
    prevalence,
    ...KEYS.flatMap((key) => names.map((name) => flags[name]![i]![key])),
  ]);
  const means = [
    'mean of flags',
    mean(flags.ours!.map(({ prevalence }) => prevalence)),
    ...KEYS.flatMap((key) => names.map((name) => mean(flags[name]!.map((row) => row[key])))),
  ];
  console.log(table([header, ...rows, means]));
  const { withMainCause, clean, faulty } = whole.ours!;
  const line = (label: string, key: keyof CarScores, who: readonly string[] = names) => [
    label,
    ...names.map((name) => (who.includes(name) ? whole[name]![key] : '-')),
  ];
  const share = (where: CarRead['forecast']) =>
    (read.filter(({ forecast }) => forecast === where).length / read.length).toFixed(3);
  console.log(
    `\nlife of a new set against the 80 % interval: within ${share('within')}, earlier ${share('earlier')}, later ${share('later')}`,
  );
  const advise = ['ours', 'best'];
  console.log(
    `\n${table([
      ['whole cars', ...names],
      line(`main cause first (${withMainCause} cars with one of 0.3 mm or more)`, 'top1'),
      line('main cause among the first three', 'top3'),
      line(`false alarm on a clean car (${clean} clean cars)`, 'falseAlarms', advise),
      line('clean car sent for work', 'sentForWork', advise),
      line('clean car sent to be measured', 'sentForCheck', advise),
      line(`real fault left without work or check (${faulty} cars)`, 'missed', advise),
    ])}`,
  );
}

for (const world of worlds) report(world, await readAll(world));
