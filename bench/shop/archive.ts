import {
  createReadStream,
  createWriteStream,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  statSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { parseArgs } from 'node:util';
import type { ArchiveImported } from '@keen/contract';
import type pg from 'pg';
import { fillShop } from './fillShop.ts';
import { openShop } from './openShop.ts';

/**
 * Takes a large shop out as an archive and in again on another database, and compares the two table by
 * table.
 *
 *     npm run bench:archive -- [--visits 100000]
 */

const { values } = parseArgs({ options: { visits: { type: 'string', default: '100000' } } });
const visits = Number(values.visits);
const WATCH_EVERY_MS = 250;
/** What is compared, and what each shop has of its own. */
const TABLES = {
  vehicles: ['shop_id', 'search'],
  visits: ['shop_id', 'sheet_id'],
  entries: ['shop_id'],
  decisions: ['shop_id'],
  visit_search: ['shop_id'],
  reminders: ['shop_id'],
  tire_lines: ['shop_id'],
};

const folder = mkdtempSync(join(tmpdir(), 'keen-archive-bench-'));
const file = join(folder, 'shop.zip');
const from = await openShop('from');
const to = await openShop('to');

await fillShop(
  from.owner,
  from.session.shop.id,
  from.session.person.id,
  visits,
  (text) => process.stderr.write(`\r  ${text}   `),
  { isWhole: true },
);
process.stderr.write('\n');

const out = await timed(async () => {
  const response = await fetch(`${from.base}/shop/archive`, { headers: { cookie: from.cookie } });
  if (!response.ok || !response.body) throw new Error(`export: ${response.status}`);
  await pipeline(Readable.fromWeb(response.body as never), createWriteStream(file));
});
const bytes = statSync(file).size;
console.log(
  `out: ${visits} visits in ${out.seconds.toFixed(0)} s, ${(visits / out.seconds).toFixed(0)} a second, ${(bytes / 1e6).toFixed(0)} MB; memory ${out.memory}`,
);

const back = await timed(async () => {
  const response = await fetch(`${to.base}/shop/archive`, {
    method: 'POST',
    headers: { cookie: to.cookie, 'content-type': 'application/zip' },
    body: Readable.toWeb(createReadStream(file)) as never,
    duplex: 'half',
  });
  const taken = (await response.json()) as ArchiveImported;
  if (!response.ok) throw new Error(JSON.stringify(taken));
  if (taken.faults.length > 0) throw new Error(JSON.stringify(taken.faults.slice(0, 3)));
});
console.log(`in: ${(visits / back.seconds).toFixed(0)} visits a second; memory ${back.memory}`);

let differ = 0;
for (const [table, own] of Object.entries(TABLES)) {
  const [a, b] = await Promise.all([from, to].map(({ owner }) => digest(owner, table, own)));
  const same = a!.rows === b!.rows && a!.digest === b!.digest;
  if (!same) differ++;
  console.log(`${table}: ${a!.rows} and ${b!.rows} rows, ${same ? 'the same' : 'DIFFERENT'}`);
}

await from.close();
await to.close();
rmSync(folder, { recursive: true, force: true });
if (differ > 0) process.exitCode = 1;

/** How many rows a table has, and a sum over all they hold that no order changes. */
async function digest(owner: pg.Client, table: string, own: readonly string[]) {
  const { rows } = await owner.query<{ rows: string; digest: string }>(
    `select count(*) as rows,
            sum(('x' || left(md5((to_jsonb(t) - $1::text[])::text), 15))::bit(60)::bigint) as digest
     from ${table} t`,
    [[...own, 'person_id']],
  );
  return rows[0]!;
}

/** Runs work and watches the memory of the process that does it, in four quarters of its time. */
async function timed(work: () => Promise<void>) {
  const resident: number[] = [];
  const watch = setInterval(() => resident.push(memoryOfChildren()), WATCH_EVERY_MS);
  const start = performance.now();
  await work();
  const seconds = (performance.now() - start) / 1000;
  clearInterval(watch);
  const quarter = (i: number) =>
    Math.max(0, ...resident.slice((i * resident.length) / 4, ((i + 1) * resident.length) / 4));
  return { seconds, memory: `${[0, 1, 2, 3].map(quarter).join(', ')} MB` };
}

/** Resident memory of the largest child of this process, MB. */
function memoryOfChildren(): number {
  const children = readdirSync(`/proc/${process.pid}/task`).flatMap((task) => {
    try {
      return readFileSync(`/proc/${process.pid}/task/${task}/children`, 'utf8').split(' ');
    } catch {
      return [];
    }
  });
  const sizes = children.filter(Boolean).map((pid) => {
    try {
      const status = readFileSync(`/proc/${pid}/status`, 'utf8');
      return Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024;
    } catch {
      return 0;
    }
  });
  return Math.round(Math.max(0, ...sizes));
}
