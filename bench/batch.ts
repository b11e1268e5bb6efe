import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { simulateCar } from '@keen/simulator';

/**
 * Diagnoses many cases through the headless command and watches its memory: flat, however many.
 *
 *     npm run bench:batch -- [--cases 1000]
 */

const { values } = parseArgs({ options: { cases: { type: 'string', default: '1000' } } });
const cases = Number(values.cases);
const root = fileURLToPath(new URL('..', import.meta.url));
const WATCH_EVERY_MS = 500;

const dir = mkdtempSync(join(tmpdir(), 'keen-batch-'));
try {
  const file = join(dir, 'cases.ndjson');
  const lines = Array.from({ length: cases }, (_, i) => JSON.stringify(simulateCar(i + 1).file));
  writeFileSync(file, `${lines.join('\n')}\n`);
  const start = performance.now();
  const child = spawn(process.execPath, ['scripts/keen.mjs', 'diagnose', '--batch', file], {
    cwd: root,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let answered = 0;
  child.stdout.on('data', (text: Buffer) => (answered += text.toString().split('\n').length - 1));
  const residentMb: number[] = [];
  const watch = setInterval(() => residentMb.push(residentOf(child.pid!)), WATCH_EVERY_MS);
  await new Promise((done) => child.on('close', done));
  clearInterval(watch);
  const seconds = (performance.now() - start) / 1000;
  const part = (from: number, to: number) =>
    Math.max(...residentMb.slice(from * residentMb.length, to * residentMb.length));
  console.log(
    `${answered} answers in ${seconds.toFixed(0)} s, ${((1000 * seconds) / answered).toFixed(0)} ms each`,
  );
  console.log(
    `memory: ${part(0.1, 0.3).toFixed(0)} MB in the first third, ${part(0.7, 1).toFixed(0)} MB in the last`,
  );
} finally {
  rmSync(dir, { recursive: true, force: true });
}

/** Resident memory of a process, MB (Linux). */
function residentOf(pid: number): number {
  try {
    const line = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'));
    return Number(line?.[1] ?? 0) / 1024;
  } catch {
    return 0;
  }
}
