import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { get } from 'node:http';
import { parseArgs } from 'node:util';
import type { Visit } from '@keen/contract';
import { openShop } from './openShop.ts';

/**
 * Many tablets look on while many people type: how long a reading takes to be saved and to be told to
 * everybody, whether anything is refused, and what becomes of the server's memory.
 *
 *     npm run bench:live -- [--streams 200] [--people 50] [--seconds 60]
 */

const { values } = parseArgs({
  options: {
    streams: { type: 'string', default: '200' },
    people: { type: 'string', default: '50' },
    seconds: { type: 'string', default: '60' },
  },
});
const [streams, people, seconds] = [values.streams, values.people, values.seconds].map(Number) as [
  number,
  number,
  number,
];
/** A practised reader takes a rib in a second and a half. */
const PAUSE_MS = 1_500;
const PARTS = 6;

const shop = await openShop('live');
const visits: Visit[] = [];
for (let i = 0; i < people; i++) {
  visits.push(
    await shop.ask<Visit>('/visits', {
      id: randomUUID(),
      vehicle: { id: randomUUID(), plate: `LIVE ${i}`, label: 'Bench van', customer: '' },
      entries: [],
    }),
  );
}

/** When each reading was sent, until the last stream has reported it. */
const sent = new Map<string, { at: number; heard: number }>();
const told: number[] = [];
let open = 0;
for (let i = 0; i < streams; i++) listen();
while (open < streams) await new Promise((turn) => setTimeout(turn, 50));

function listen(): void {
  get(`${shop.base}/live`, { headers: { cookie: shop.cookie } }, (response) => {
    open++;
    let rest = '';
    response.on('data', (chunk: Buffer) => {
      rest += chunk.toString();
      const events = rest.split('\n\n');
      rest = events.pop() ?? '';
      for (const event of events) {
        for (const [, id] of event.matchAll(/"id":"([0-9a-f-]{36})","path"/g)) {
          const one = sent.get(id!);
          if (one && ++one.heard === streams) {
            told.push(performance.now() - one.at);
            sent.delete(id!);
          }
        }
      }
    });
    response.on('error', () => undefined);
  }).on('error', () => undefined);
}

const saved: number[][] = Array.from({ length: PARTS }, () => []);
const memory: number[] = [];
let failures = 0;
const start = performance.now();
const end = start + seconds * 1000;

async function type(visit: Visit): Promise<void> {
  await new Promise((turn) => setTimeout(turn, Math.random() * PAUSE_MS));
  while (performance.now() < end) {
    const id = randomUUID();
    const at = performance.now();
    sent.set(id, { at, heard: 0 });
    const value = Math.round(40 + 20 * Math.random()) / 10;
    const rib = ['inner', 'centre', 'outer'][Math.floor(Math.random() * 3)]!;
    const path = `tires.lf.stations.0.${rib}`;
    try {
      await shop.ask(`/visits/${visit.id}/entries`, {
        entries: [{ id, path, value, at: new Date().toISOString() }],
      });
      const part = Math.floor(((at - start) / (end - start)) * PARTS);
      saved[part]?.push(performance.now() - at);
    } catch {
      failures++;
    }
    await new Promise((turn) => setTimeout(turn, PAUSE_MS * (0.5 + Math.random())));
  }
}

const watch = setInterval(
  () => memory.push(residentMb(shop.pid)),
  Math.max(1000, (seconds * 1000) / (PARTS * 4)),
);
await Promise.all(visits.map(type));
clearInterval(watch);

const quantile = (numbers: readonly number[], part: number) => {
  const sorted = numbers.toSorted((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))] ?? Number.NaN;
};
const all = saved.flat();
const inParts = (f: (part: number) => string) =>
  Array.from({ length: PARTS }, (_, i) => f(i)).join(', ');
console.log(
  `${people} people, ${streams} streams, ${seconds} s: ${all.length} readings, ${failures} refused or failed`,
);
console.log(
  `saved in p50 ${quantile(all, 0.5).toFixed(1)}, p99 ${quantile(all, 0.99).toFixed(1)} ms; p99 by part of the time ${inParts((i) => quantile(saved[i]!, 0.99).toFixed(0))}`,
);
console.log(
  `told to all streams in p50 ${quantile(told, 0.5).toFixed(1)}, p99 ${quantile(told, 0.99).toFixed(1)} ms`,
);
console.log(
  `memory of the server by part of the time: ${inParts((i) => String(Math.max(...memory.slice((i * memory.length) / PARTS, ((i + 1) * memory.length) / PARTS))))} MB`,
);
await shop.close();
process.exit(failures > 0 ? 1 : 0);

function residentMb(pid: number): number {
  const status = readFileSync(`/proc/${pid}/status`, 'utf8');
  return Math.round(Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024);
}
