import { availableParallelism } from 'node:os';
import { parseArgs } from 'node:util';
import { Worker } from 'node:worker_threads';
import type { ShopConstants } from '@keen/contract';
import { fitConstants, FULL_SWEEPS, USUAL_CONSTANTS } from '@keen/core';
import type { FittedConstants, ShopCar } from '@keen/core';
import { FAULTS } from '@keen/core/engine';
import { chartReadings, scoreCars, scoreFlags, WORLD_NAMES } from '@keen/simulator';
import type { CarScores, FlagScores, Reading, WorldName } from '@keen/simulator';
import { binEdges, binRows, train } from './boosting.ts';
import type { CarRead, Fell, Task } from './readCars.ts';
import type { ShopCarRead, ShopCarTask } from './readShopCar.ts';
import type { SpreadRead, SpreadTask } from './readSpread.ts';
import type { VisitsRead, VisitTask } from './readVisits.ts';

/**
 * How well the diagnosis is calibrated, in worlds of different physics: simulated cars read by it, by a
 * plain rule chart, by a learner trained on cars of that very world, and in our own world by a reader who
 * knows the constants of each car's physics.
 *
 *     npm run calibration -- [--cars 1000] [--sweeps N] [--first 1] [--training 6000] [--world own,other,patch]
 *         [--part cars,spread,visits,learning]
 */

const PARTS = ['cars', 'spread', 'visits', 'learning'];
const { values } = parseArgs({
  options: {
    cars: { type: 'string', default: '1000' },
    sweeps: { type: 'string', default: String(FULL_SWEEPS) },
    first: { type: 'string', default: '1' },
    training: { type: 'string', default: '6000' },
    world: { type: 'string', default: WORLD_NAMES.join(',') },
    part: { type: 'string', default: PARTS.join(',') },
  },
});
const cars = Number(values.cars);
const sweeps = Number(values.sweeps);
const first = Number(values.first);
const training = Number(values.training);
const worlds = values.world.split(',') as WorldName[];
if (![cars, sweeps, first].every((n) => Number.isInteger(n) && n > 0) || !(training >= 0)) {
  throw new RangeError(
    '--cars, --sweeps and --first are whole numbers above zero, --training not below',
  );
}
const unknown = worlds.find((world) => !WORLD_NAMES.includes(world));
if (unknown !== undefined) throw new RangeError(`--world: there is no ${unknown}`);
const parts = values.part.split(',');
const unknownPart = parts.find((part) => !PARTS.includes(part));
if (unknownPart !== undefined) throw new RangeError(`--part: there is no ${unknownPart}`);

/** A hand of half a 32nd, and a worse one. */
const SPREADS_MM = [0.4, 0.6];
/** Cars that train the learner have seeds far from those that are read. */
const FIRST_TRAINING = 5_000_000;
/** Cars that a shop learns its constants from, and where their seeds begin. */
const CARS_TO_LEARN_FROM = 200;
const FIRST_OF_SHOP = 8_000_000;
const LEARNING_SWEEPS = 500;
/**
 * Shops by what is true of their cars: one as is usual, one that differs in all, one in faults alone, as in a
 * town of kerbs and soft tires (invented).
 */
const DIFFERENT_FAULTS: ShopConstants['faultRates'] = {
  frontToe: 0.5,
  rearToe: 0.08,
  camber: 0.15,
  pressure: 0.45,
  bounce: 0.05,
  looseness: 0.2,
  hardCornering: 0.05,
};
const SHOPS: Record<string, ShopConstants | undefined> = {
  'as is usual': undefined,
  'other faults': { traits: USUAL_CONSTANTS.traits, faultRates: DIFFERENT_FAULTS },
  'other wear and faults': {
    traits: {
      wearRate: { mean: 0.25, sd: 0.25 },
      frontToRear: { mean: 0.08, sd: 0.1 },
      crown: { mean: 0.05, sd: 0.04 },
      hand: { mean: 0.03, sd: 0.03 },
    },
    faultRates: DIFFERENT_FAULTS,
  },
};

/** Reads cars on all cores, with progress on standard error. */
function readAll<Read>(
  module: './readCars.ts' | './readShopCar.ts' | './readSpread.ts' | './readVisits.ts',
  tasks: readonly unknown[],
  label: string,
): Promise<Read[]> {
  const results: Read[] = [];
  let next = 0;
  let done = 0;
  if (tasks.length === 0) return Promise.resolve(results);
  return new Promise((resolve, reject) => {
    for (let i = 0; i < Math.min(tasks.length, availableParallelism()); i++) {
      const worker = new Worker(new URL('../worker.mjs', import.meta.url), {
        workerData: { module: new URL(module, import.meta.url).href },
      });
      let current = -1;
      const give = () => {
        if (next >= tasks.length) return void worker.terminate();
        current = next++;
        worker.postMessage(tasks[current]);
      };
      worker.on('message', (result: Read) => {
        results[current] = result;
        done++;
        if (process.stderr.isTTY || done % 500 === 0) {
          process.stderr.write(`\r${label}: ${done} of ${tasks.length} cars`);
        }
        if (done === tasks.length) resolve(results);
        give();
      });
      worker.on('error', reject);
      give();
    }
  });
}

/** A learner for each fault, trained on cars of a world; ranks by chance times what such a fault takes. */
function learn(cars: readonly CarRead[]): (car: CarRead) => Reading {
  const rows = cars.map(({ features }) => features);
  const edges = binEdges(rows);
  const binned = binRows(rows, edges);
  const readers = FAULTS.map((_, column) => {
    const labels = Uint8Array.from(cars, ({ truth }) => truth.faults[column]!);
    const taken = cars.flatMap(({ truth }, i) => (labels[i] ? [truth.excessMm[column]!] : []));
    return {
      chance: train(binned, edges, labels),
      takes: taken.reduce((sum, mm) => sum + mm, 0) / Math.max(1, taken.length),
    };
  });
  return ({ features }) => {
    const chances = readers.map(({ chance }) => chance(features));
    const weight = chances.map((chance, column) => chance * readers[column]!.takes);
    const isRepeat = (column: number) =>
      FAULTS[column]!.cause === 'hardCornering' && FAULTS[column]!.where === 'rear';
    return {
      chances,
      ranked: [...chances.keys()]
        .filter((column) => !isRepeat(column))
        .toSorted((a, b) => weight[b]! - weight[a]!),
    };
  };
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

function report(
  world: WorldName,
  read: readonly CarRead[],
  learned: (car: CarRead) => Reading,
): void {
  const truths = read.map(({ truth }) => truth);
  const readers: Record<string, readonly Reading[]> = {
    ours: read.map(({ ours }) => ours!),
    chart: chartReadings(
      truths,
      read.map(({ chart }) => chart!),
    ),
    ...(training > 0 ? { learned: read.map(learned) } : {}),
    ...(world === 'own' ? { knowing: read.map(({ knowing }) => knowing!) } : {}),
  };
  const names = Object.keys(readers);
  const flags = Object.fromEntries(
    names.map((name) => [name, scoreFlags(truths, readers[name]!)]),
  ) as Record<string, FlagScores[]>;
  const whole = Object.fromEntries(
    names.map((name) => [name, scoreCars(truths, readers[name]!)]),
  ) as Record<string, CarScores>;

  console.log(`\n${read.length} cars of the world '${world}', ${sweeps} sweeps`);
  console.log(
    'learned: boosting trained on that world; knowing: knows the constants of each car\n',
  );
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
  const advise = names.filter((name) => name === 'ours' || name === 'knowing');
  console.log(
    `\n${table([
      ['whole cars', ...names],
      line(`main cause first (${withMainCause} cars with one of 0.3 mm or more)`, 'top1'),
      line('main cause among the first three', 'top3'),
      line(`false alarm on a clean car (${clean} clean cars)`, 'falseAlarms'),
      line('clean car sent for work', 'sentForWork', advise),
      line('clean car sent to be measured', 'sentForCheck', advise),
      line(`real fault left without work or check (${faulty} cars)`, 'missed', advise),
    ])}`,
  );
  const quantities = Object.keys(read[0]!.intervals!);
  console.log(
    `\n${table([
      ['80 % intervals', 'below', 'within', 'above'],
      ...quantities.map((quantity) => {
        const fell = read.flatMap(({ intervals }) => intervals![quantity]!);
        const share = (where: Fell) => fell.filter((one) => one === where).length / fell.length;
        return [quantity, share('below'), share('within'), share('above')];
      }),
    ])}`,
  );
}

/** What earlier visits gain: cars read with their history, and by today's reading alone. */
function reportVisits(world: WorldName, visits: number, read: readonly VisitsRead[]): void {
  console.log(
    `\n${read.length} cars of the world '${world}' that were here ${visits} times, ${sweeps} sweeps; what has been wrong since the last visit\n`,
  );
  const groups = {
    all: () => true,
    'something was put right': ({ since }: VisitsRead) => since === 'putRight',
    'the tread shows a change': ({ since }: VisitsRead) => since === 'changed',
    neither: ({ since }: VisitsRead) => since === 'whole',
  };
  const rows = Object.entries(groups).flatMap(([name, isOf]) => {
    const some = read.filter(isOf);
    if (some.length === 0) return [];
    const truths = some.map(({ faults }) => ({ faults, excessMm: [] }));
    const scores = [some.map((one) => one.withHistory), some.map((one) => one.alone)].map(
      (readings) => scoreFlags(truths, readings),
    );
    const means = (key: (typeof KEYS)[number]) =>
      scores.map((flags) => mean(flags.map((flag) => flag[key])));
    return [[name, String(some.length), ...means('logLoss'), ...means('calibrationError')]];
  });
  console.log(
    table([
      ['mean of flags', 'cars', 'history logLoss', 'alone logLoss', 'history ece', 'alone ece'],
      ...rows,
    ]),
  );
}

/** What it is worth to know how far the shop's readings scatter. */
function reportSpread(world: WorldName, sdMm: number, read: readonly SpreadRead[]): void {
  const truths = read.map(({ faults }) => ({ faults, excessMm: [] }));
  const scores = [read.map(({ known }) => known), read.map(({ unknown }) => unknown)].map(
    (readings) => scoreFlags(truths, readings),
  );
  const means = (key: (typeof KEYS)[number]) =>
    scores.map((flags) => mean(flags.map((flag) => flag[key])));
  console.log(
    `\n${read.length} cars of the world '${world}' whose readings scatter by ${sdMm} mm, ${sweeps} sweeps\n`,
  );
  console.log(
    table([
      ['mean of flags', 'spread known', 'taken for the usual'],
      ['log loss', ...means('logLoss')],
      ['calibration error', ...means('calibrationError')],
    ]),
  );
}

/** What a shop learns from its own cars, as the server does it: read, fitted, read again, fitted. */
async function learnShop(
  world: WorldName,
  shop: ShopConstants | undefined,
  label: string,
): Promise<FittedConstants> {
  const pass = async (by?: ShopConstants): Promise<ShopCar[]> => {
    const tasks = Array.from({ length: CARS_TO_LEARN_FROM }, (_, i): ShopCarTask => ({
      seed: FIRST_OF_SHOP + i,
      world,
      sweeps: LEARNING_SWEEPS,
      shop,
      by,
    }));
    const read = await readAll<ShopCarRead>('./readShopCar.ts', tasks, label);
    return read.flatMap(({ evidence }) => (evidence ? [{ evidence, line: null }] : []));
  };
  const taught = fitConstants(await pass()).constants;
  return fitConstants(await pass(taught), taught);
}

/** What it is worth, on cars that were held out, that a shop learned its own constants. */
async function reportLearning(world: WorldName): Promise<void> {
  const rows: (string | number)[][] = [];
  for (const [name, shop] of Object.entries(SHOPS)) {
    const label = `${world}, a shop of ${name}`;
    const { constants, gain } = await learnShop(world, shop, `${label}, learned from`);
    const tasks = Array.from({ length: cars }, (_, i): ShopCarTask => ({
      seed: first + i,
      world,
      sweeps,
      shop,
      learned: constants,
    }));
    const read = await readAll<ShopCarRead>('./readShopCar.ts', tasks, label);
    const truths = read.map(({ faults }) => ({ faults, excessMm: [] }));
    const scores = [read.map(({ usual }) => usual!), read.map(({ own }) => own!)].map((readings) =>
      scoreFlags(truths, readings),
    );
    const means = (key: (typeof KEYS)[number]) =>
      scores.map((flags) => mean(flags.map((flag) => flag[key])));
    rows.push([name, gain.mean, ...means('logLoss'), ...means('calibrationError')]);
    console.error(`\n${label}: ${JSON.stringify(constants)}`);
  }
  console.log(
    `\nShops of the world '${world}' that learned from ${CARS_TO_LEARN_FROM} cars, read on ${cars} others, ${sweeps} sweeps\n`,
  );
  console.log(
    table([
      ['cars of the shop', 'gain', 'usual logLoss', 'own logLoss', 'usual ece', 'own ece'],
      ...rows,
    ]),
  );
}

async function reportCars(world: WorldName): Promise<void> {
  const task = (seed: number, isForTraining: boolean): Task => ({
    seed,
    world,
    sweeps,
    isForTraining,
  });
  const trained = await readAll<CarRead>(
    './readCars.ts',
    Array.from({ length: training }, (_, i) => task(FIRST_TRAINING + i, true)),
    `${world}, to train on`,
  );
  const read = await readAll<CarRead>(
    './readCars.ts',
    Array.from({ length: cars }, (_, i) => task(first + i, false)),
    world,
  );
  report(world, read, trained.length > 0 ? learn(trained) : () => ({ chances: [], ranked: [] }));
}

async function reportSpreads(world: WorldName): Promise<void> {
  for (const sdMm of SPREADS_MM) {
    const tasks = Array.from({ length: cars }, (_, i): SpreadTask => ({
      seed: first + i,
      world,
      sweeps,
      sdMm,
    }));
    const label = `${world}, readings to ${sdMm} mm`;
    reportSpread(world, sdMm, await readAll<SpreadRead>('./readSpread.ts', tasks, label));
  }
}

async function reportAllVisits(world: WorldName): Promise<void> {
  for (const visits of [2, 3]) {
    const tasks = Array.from({ length: cars }, (_, i): VisitTask => ({
      seed: first + i,
      world,
      sweeps,
      visits,
    }));
    const label = `${world}, ${visits} visits`;
    reportVisits(world, visits, await readAll<VisitsRead>('./readVisits.ts', tasks, label));
  }
}

const REPORTS: Record<(typeof PARTS)[number], (world: WorldName) => Promise<void>> = {
  cars: reportCars,
  spread: reportSpreads,
  visits: reportAllVisits,
  learning: reportLearning,
};
for (const world of worlds) {
  for (const part of parts) await REPORTS[part]!(world);
}
