import { parseArgs } from 'node:util';
import { FULL_SWEEPS } from '@keen/core';
import { FAULTS } from '@keen/core/engine';
import { chartReadings, scoreCars, scoreFlags, WORLD_NAMES } from '@keen/simulator';
import type { CarScores, FlagScores, Reading, WorldName } from '@keen/simulator';
import { binEdges, binRows, train } from './boosting.ts';
import { reportLearning } from './learning.ts';
import { readAll } from './readAll.ts';
import type { CarRead, Fell, Task } from './readCars.ts';
import type { SpreadRead, SpreadTask } from './readSpread.ts';
import type { VisitsRead, VisitTask } from './readVisits.ts';
import { KEYS, mean, table } from './tables.ts';

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
  learning: (world) => reportLearning(world, { cars, first, sweeps }),
};
for (const world of worlds) {
  for (const part of parts) await REPORTS[part]!(world);
}
