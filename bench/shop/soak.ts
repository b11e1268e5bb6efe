import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { get } from 'node:http';
import { parseArgs } from 'node:util';
import type { Visit } from '@keen/contract';
import { simulateCar } from '@keen/simulator';
import { linearRegression } from 'simple-statistics';
import { openShop } from './openShop.ts';

/**
 * Many people do everything that a shop does all day, for a while: does anything fail, and does memory grow?
 * One car each, then the next one; live streams stay open, and the odd page is loaded anew.
 *
 *     npm run bench:soak -- [--people 50] [--minutes 10]
 */

const { values } = parseArgs({
  options: {
    people: { type: 'string', default: '50' },
    minutes: { type: 'string', default: '10' },
  },
});
const people = Number(values.people);
const minutes = Number(values.minutes);
/** Between one thing and the next: a practised reader takes a rib in a second and a half. */
const PAUSE_MS = 1_500;
const MINUTE_MS = 60_000;
/** The first of these minutes fills caches; memory is compared without it. */
const WARM_MINUTES = 1;

const shop = await openShop('soak');
const end = performance.now() + minutes * MINUTE_MS;
const counts = new Map<string, { asked: number; refused: number; broken: number }>();
const memory: { minute: number; server: number; worker: number }[] = [];

/** Asks, and counts what comes of it by what was asked. @returns the answer, or null */
async function ask<T>(what: string, path: string, body?: unknown): Promise<T | null> {
  const count = counts.get(what) ?? { asked: 0, refused: 0, broken: 0 };
  counts.set(what, count);
  count.asked++;
  try {
    const response = await fetch(`${shop.base}${path}`, {
      headers: {
        cookie: shop.cookie,
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
      },
      ...(body === undefined ? {} : { method: 'POST', body: JSON.stringify(body) }),
    });
    if (response.status >= 500) count.broken++;
    else if (!response.ok) count.refused++;
    const bytes = await response.arrayBuffer();
    const isJson = response.headers.get('content-type')?.startsWith('application/json') ?? false;
    return response.ok && isJson ? (JSON.parse(new TextDecoder().decode(bytes)) as T) : null;
  } catch {
    count.broken++;
    return null;
  }
}

const pause = () => new Promise((turn) => setTimeout(turn, PAUSE_MS * (0.5 + Math.random())));

/** A page that looks on, and is opened anew when it breaks. */
function listen(): void {
  const again = () => setTimeout(() => performance.now() < end && listen(), 1_000);
  get(`${shop.base}/live`, { headers: { cookie: shop.cookie } }, (response) => {
    response.resume();
    response.once('close', again);
    response.on('error', () => undefined);
  }).on('error', again);
}

/** One car from its arrival to its paper. */
async function oneCar(seed: number): Promise<void> {
  const { file } = simulateCar(seed);
  const visit = await ask<Visit>('start a visit', '/visits', {
    id: randomUUID(),
    vehicle: {
      id: randomUUID(),
      plate: `S ${seed}`,
      label: 'Soak van',
      customer: `Customer ${seed}`,
    },
    entries: [],
  });
  if (!visit) return;
  const at = new Date().toISOString();
  const entry = (path: string, value: unknown) => ({ id: randomUUID(), path, value, at });
  for (const [wheel, tire] of Object.entries(file.tires)) {
    for (const [rib, depth] of Object.entries(tire.stations[0] ?? {})) {
      if (performance.now() > end) return;
      await pause();
      await ask('save a rib', `/visits/${visit.id}/entries`, {
        entries: [entry(`tires.${wheel}.stations.0.${rib}`, depth)],
      });
    }
    await ask('save a rib', `/visits/${visit.id}/entries`, {
      entries: [
        entry(`tires.${wheel}.newDepth`, tire.newDepth),
        entry(`tires.${wheel}.distance`, tire.distance),
      ],
    });
  }
  await ask('open a visit', `/visits/${visit.id}`);
  await ask('full answer', `/visits/${visit.id}/diagnosis`);
  await ask('decide', `/visits/${visit.id}/decisions`, {
    id: randomUUID(),
    action: 'fitOnly',
    replace: [],
    answer: 'yes',
    reason: '',
  });
  await ask('today’s board', '/visits');
  await ask('search', `/visits?all=true&words=customer`);
  await ask('garage', '/garage');
  await ask('insights', '/insights/advice');
  await ask('paper', `/visits/${visit.id}/sheet?kind=customer&paper=A4`);
}

async function work(person: number): Promise<void> {
  await new Promise((turn) => setTimeout(turn, Math.random() * PAUSE_MS * 10));
  for (let car = 1; performance.now() < end; car++) await oneCar(person * 1_000 + car);
}

function residentMb(pid: number): number {
  const status = readFileSync(`/proc/${pid}/status`, 'utf8');
  return Math.round(Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024);
}

/** The process that the server keeps beside it. */
function workerPid(): number | undefined {
  const children = readFileSync(`/proc/${shop.pid}/task/${shop.pid}/children`, 'utf8');
  return children
    .split(' ')
    .filter((pid) => pid.trim() !== '')
    .map(Number)
    .find((pid) => readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('jobWorker'));
}

for (let i = 0; i < people; i++) listen();
const watch = setInterval(() => {
  const worker = workerPid();
  memory.push({
    minute: memory.length + 1,
    server: residentMb(shop.pid),
    worker: worker === undefined ? 0 : residentMb(worker),
  });
}, MINUTE_MS);
await Promise.all(Array.from({ length: people }, (_, i) => work(i + 1)));
clearInterval(watch);

console.log(`${people} people for ${minutes} minutes, ${people} streams`);
for (const [what, { asked, refused, broken }] of counts) {
  console.log(`${what.padEnd(16)} ${asked} asked, ${refused} refused, ${broken} 5xx or broken off`);
}
const line = (key: 'server' | 'worker') => memory.map((one) => one[key]).join(', ');
console.log(`memory of the server, MB, minute by minute: ${line('server')}`);
console.log(`memory of its worker: ${line('worker')}`);
const late = memory.slice(WARM_MINUTES).map(({ minute, server }) => [minute, server]);
console.log(`slope after the first: ${linearRegression(late).m.toFixed(1)} MB a minute`);
const broken = [...counts.values()].reduce((sum, count) => sum + count.broken, 0);
await shop.close();
process.exit(broken > 0 ? 1 : 0);
