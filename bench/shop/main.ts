import { randomUUID } from 'node:crypto';
import { parseArgs } from 'node:util';
import type { VehicleRecord, Visit, VisitPage } from '@keen/contract';
import { bareHandler } from './bareHandler.ts';
import { ENTRIES_PER_VISIT, fillShop } from './fillShop.ts';
import { openShop } from './openShop.ts';

/**
 * Asks a server on a real database for what a shop asks for all day, at two ages of the shop, and prints
 * the times as ratios in one run.
 *
 *     npm run bench:shop -- [--small 10000] [--large 1000000] [--rounds 200]
 */

const { values } = parseArgs({
  options: {
    small: { type: 'string', default: '10000' },
    large: { type: 'string', default: '1000000' },
    rounds: { type: 'string', default: '200' },
  },
});
const rounds = Number(values.rounds);
const WARM_UP = 20;

function quantile(numbers: readonly number[], part: number): number {
  const sorted = numbers.toSorted((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))]!;
}

const shop = await openShop('shop');
const { ask, owner, session } = shop;

const pick = <T>(list: readonly T[]): T => list[Math.floor(Math.random() * list.length)]!;

/** Cars and visits of all ages to ask for. */
async function sample() {
  const { rows: cars } = await owner.query<VehicleRecord>(
    'select id, plate, customer, phone, vin from vehicles tablesample bernoulli (5) limit 400',
  );
  const { rows: visits } = await owner.query<{ id: string; number: number }>(
    'select id, number from visits tablesample bernoulli (5) order by random() limit 400',
  );
  const { visits: open } = await ask<VisitPage>('/visits');
  return { cars, visits, open };
}

type Sample = Awaited<ReturnType<typeof sample>>;
const words = (text: string) => encodeURIComponent(text);

const QUESTIONS: Record<string, (from: Sample) => Promise<unknown>> = {
  'today’s board': () => ask('/visits'),
  'open a visit': ({ visits }) => ask(`/visits/${pick(visits).id}`),
  'save a rib': ({ open }) => saveRib(pick(open)),
  'all visits, first page': () => ask('/visits?all=true'),
  'all visits, any page': ({ visits }) => ask(`/visits?all=true&before=${pick(visits).number}`),
  'visits by plate': ({ cars }) => ask(`/visits?all=true&words=${words(pick(cars).plate)}`),
  'visits by name': ({ cars }) => ask(`/visits?all=true&words=${words(pick(cars).customer)}`),
  'visits by telephone': ({ cars }) => ask(`/visits?all=true&words=${words(pick(cars).phone)}`),
  'visits by VIN': ({ cars }) => ask(`/visits?all=true&words=${pick(cars).vin}`),
  'visits by part of a word': ({ cars }) =>
    ask(`/visits?all=true&words=${words(pick(cars).customer.slice(-5))}`),
  'visits by a word of one in ten': () => ask('/visits?all=true&words=squeals'),
  'visits by one letter': () => ask('/visits?all=true&words=q'),
  'visits by what is nowhere': () => ask('/visits?all=true&words=nowhere'),
  'cars by plate': ({ cars }) => ask(`/vehicles?q=${words(pick(cars).plate.slice(0, 6))}`),
  'cars by name': ({ cars }) => ask(`/vehicles?q=${words(pick(cars).customer)}`),
  'garage, first page': () => ask('/garage'),
  'garage, any page': ({ cars }) => ask(`/garage?after=${pick(cars).id}`),
  'garage by name': ({ cars }) => ask(`/garage?words=${words(pick(cars).customer)}`),
  'garage by tire size': () => ask(`/garage?words=${words('205/55R16')}`),
  'cars of a customer': ({ cars }) => ask(`/garage?customerOf=${pick(cars).id}`),
  'a car with its visits': ({ cars }) => ask(`/garage/${pick(cars).id}`),
  'customers, first page': () => ask('/customers'),
  'customers by name': ({ cars }) => ask(`/customers?words=${words(pick(cars).customer)}`),
  'customers by one letter': () => ask('/customers?words=q'),
  'a customer, and who is alike': ({ cars }) => ask(`/garage/${pick(cars).id}/customer`),
  'stored tires': () => ask('/stored-tires'),
  'stored tires by place': () => ask('/stored-tires?words=rack%20150'),
  'insights: advice, a year': () => ask(`/insights/advice?from=${dayIn(-365)}`),
  'insights: advice, all': () => ask('/insights/advice'),
  'insights: chances held': () => ask('/insights/reliability'),
  'insights: comebacks': () => ask('/insights/comebacks'),
  'insights: forecasts': () => ask('/insights/forecasts'),
  'insights: cost of no': () => ask('/insights/decline-costs'),
  'insights: declined': () => ask('/insights/declined'),
  'insights: learning': () => ask('/insights/learning'),
  'due in a quarter': () => ask(`/due?until=${dayIn(92)}`),
  'lines of tires': () => ask('/tire-lines'),
};

function dayIn(days: number): string {
  return new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
}

function saveRib(visit: Visit): Promise<unknown> {
  const value = Math.round(40 + 20 * Math.random()) / 10;
  const entry = { id: randomUUID(), path: 'tires.lf.stations.0.outer', value };
  return ask(`/visits/${visit.id}/entries`, {
    entries: [{ ...entry, at: new Date().toISOString() }],
  });
}

/** Milliseconds of each question, over and over, one at a time. */
async function timesOf(question: () => Promise<unknown>): Promise<number[]> {
  const times: number[] = [];
  for (let i = -WARM_UP; i < rounds; i++) {
    const start = performance.now();
    await question();
    if (i >= 0) times.push(performance.now() - start);
  }
  return times;
}

const ages = [Number(values.small), Number(values.large)];
const table = new Map<string, number[][]>();
for (const age of ages) {
  const start = performance.now();
  await fillShop(owner, session.shop.id, session.person.id, age, (text) =>
    process.stderr.write(`\r  ${text.padEnd(30)}`),
  );
  process.stderr.write(
    `\r${age} visits filled in ${((performance.now() - start) / 1000).toFixed(0)} s\n`,
  );
  const from = await sample();
  for (const [name, question] of Object.entries(QUESTIONS)) {
    table.set(name, [...(table.get(name) ?? []), await timesOf(() => question(from))]);
  }
}

const show = (ms: number) => ms.toFixed(1).padStart(8);
console.log(
  `${ages.join(' and ')} visits with ${ENTRIES_PER_VISIT} entries each; ${rounds} rounds, ms`,
);
console.log(`${''.padEnd(32)}     p50      p95      p50      p95   ratio of p95`);
for (const [name, [small, large]] of table) {
  const [a, b] = [quantile(small!, 0.95), quantile(large!, 0.95)];
  console.log(
    name.padEnd(32) +
      [quantile(small!, 0.5), a, quantile(large!, 0.5), b].map(show).join(' ') +
      `      ${(b / a).toFixed(2)}`,
  );
}

const bare = await bareHandler(shop.ownerUrl);
const from = await sample();
for (const [name, ours, theirs] of [
  ['save a rib', () => saveRib(pick(from.open)), () => bare.save(pick(from.open).id)],
  [
    'open a visit',
    () => ask(`/visits/${pick(from.visits).id}`),
    () => bare.open(pick(from.visits).id),
  ],
] as const) {
  const [own, plain] = [quantile(await timesOf(ours), 0.5), quantile(await timesOf(theirs), 0.5)];
  console.log(`${name}: ${(own / plain).toFixed(2)} times a bare handler at p50`);
}

bare.close();
await shop.close();
