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
 * One car each, then the next one; live streams stay open, and the odd page is reloaded.
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
/** With the customer, between one car and the next. */
const TALK_MS = 90_000;
const MINUTE_MS = 60_000;
/** The first of these minutes fills caches; memory is compared without it. */
const WARM_MINUTES = 1;

const shop = await openShop('soak');
let end = Infinity;
const counts = new Map<string, { asked: number; refused: number; broken: number }>();
/** What broke off, and how. */
const why: string[] = [];
const memory: { minute: number; server: number; worker: number }[] = [];

/** Asks as a person, and counts what comes of it by what was asked. @returns the answer, or null */
async function ask<T>(
  cookie: string,
  what: string,
  path: string,
  body?: unknown,
): Promise<T | null> {
  const count = counts.get(what) ?? { asked: 0, refused: 0, broken: 0 };
  counts.set(what, count);
  count.asked++;
  const begun = performance.now();
  try {
    const response = await fetch(`${shop.base}${path}`, {
      headers: {
        cookie,
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
      },
      ...(body === undefined ? {} : { method: 'POST', body: JSON.stringify(body) }),
    });
    if (response.status >= 500) {
      count.broken++;
      why.push(`${what}: ${response.status}`);
    } else if (!response.ok) count.refused++;
    const bytes = await response.arrayBuffer();
    const isJson = response.headers.get('content-type')?.startsWith('application/json') ?? false;
    return response.ok && isJson ? (JSON.parse(new TextDecoder().decode(bytes)) as T) : null;
  } catch (error) {
    count.broken++;
    why.push(`${what} after ${Math.round(performance.now() - begun)} ms: ${reasonOf(error)}`);
    return null;
  }
}

/** The reason that fetch keeps behind "fetch failed". */
function reasonOf(error: unknown): string {
  const inner = error instanceof Error && error.cause instanceof Error ? error.cause : error;
  return String(inner);
}

const pause = () => new Promise((turn) => setTimeout(turn, PAUSE_MS * (0.5 + Math.random())));

/** A page that looks on, and is opened again when it breaks. */
function listen(cookie: string): void {
  const again = () => setTimeout(() => performance.now() < end && listen(cookie), 1_000);
  get(`${shop.base}/live`, { headers: { cookie } }, (response) => {
    response.resume();
    response.once('close', again);
    response.on('error', () => undefined);
  }).on('error', again);
}

/** One car from its arrival to its paper. */
async function oneCar(cookie: string, seed: number): Promise<void> {
  const asked = <T>(what: string, path: string, body?: unknown) => ask<T>(cookie, what, path, body);
  const { file } = simulateCar(seed);
  const visit = await asked<Visit>('start a visit', '/visits', {
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
      await asked('save a rib', `/visits/${visit.id}/entries`, {
        entries: [entry(`tires.${wheel}.stations.0.${rib}`, depth)],
      });
    }
    await asked('save a rib', `/visits/${visit.id}/entries`, {
      entries: [
        entry(`tires.${wheel}.newDepth`, tire.newDepth),
        entry(`tires.${wheel}.distance`, tire.distance),
      ],
    });
  }
  await asked('open a visit', `/visits/${visit.id}`);
  await asked('full answer', `/visits/${visit.id}/diagnosis`);
  await asked('decide', `/visits/${visit.id}/decisions`, {
    id: randomUUID(),
    action: 'fitOnly',
    replace: [],
    answer: 'yes',
    // Asked for where something else is advised.
    reason: 'The customer’s wish',
  });
  await asked('today’s board', '/visits');
  await asked('search', `/visits?all=true&words=customer`);
  await asked('garage', '/garage');
  await asked('insights', '/insights/advice');
  await asked('paper', `/visits/${visit.id}/sheet?kind=customer&paper=A4`);
}

async function work(cookie: string, person: number): Promise<void> {
  await new Promise((turn) => setTimeout(turn, Math.random() * TALK_MS));
  for (let car = 1; performance.now() < end; car++) {
    await oneCar(cookie, person * 1_000 + car);
    const talked = performance.now() + TALK_MS * (0.5 + Math.random());
    while (performance.now() < Math.min(talked, end)) await pause();
  }
}

/** A person of their own for everybody, signed in. */
async function signInAll(): Promise<string[]> {
  const cookies: string[] = [];
  for (let n = 0; n < people; n++) {
    const [email, password] = [`soak${n}@bench.example`, 'seven grey gulls fly'];
    await shop.ask('/shop/people', {
      id: randomUUID(),
      name: `Soak ${n}`,
      email,
      password,
      role: 'lead',
    });
    const response = await fetch(`${shop.base}/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ email, password }),
    });
    cookies.push(response.headers.get('set-cookie')?.split(';')[0] ?? '');
  }
  return cookies;
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

const cookies = await signInAll();
end = performance.now() + minutes * MINUTE_MS;
cookies.forEach(listen);
const watch = setInterval(() => {
  const worker = workerPid();
  memory.push({
    minute: memory.length + 1,
    server: residentMb(shop.pid),
    worker: worker === undefined ? 0 : residentMb(worker),
  });
}, MINUTE_MS);
await Promise.all(cookies.map((cookie, i) => work(cookie, i + 1)));
clearInterval(watch);

console.log(`${people} people for ${minutes} minutes, ${people} streams`);
for (const [what, { asked, refused, broken }] of counts) {
  console.log(`${what.padEnd(16)} ${asked} asked, ${refused} refused, ${broken} 5xx or broken off`);
}
why.slice(0, 20).forEach((one) => console.log(`  ${one}`));
const line = (key: 'server' | 'worker') => memory.map((one) => one[key]).join(', ');
console.log(`memory of the server, MB, minute by minute: ${line('server')}`);
console.log(`memory of its worker: ${line('worker')}`);
const late = memory.slice(WARM_MINUTES).map(({ minute, server }) => [minute, server]);
console.log(`slope after the first: ${linearRegression(late).m.toFixed(1)} MB a minute`);
const broken = [...counts.values()].reduce((sum, count) => sum + count.broken, 0);
await shop.close();
process.exit(broken > 0 ? 1 : 0);
