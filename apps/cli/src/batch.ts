import { once } from 'node:events';
import { createReadStream } from 'node:fs';
import { availableParallelism } from 'node:os';
import { createInterface } from 'node:readline';
import { Worker } from 'node:worker_threads';
import { calculateLine } from './calculateCall.ts';
import type { DiagnoseOptions } from './diagnoseCase.ts';
import type { Streams } from './streams.ts';

/** Lines handed out ahead of the slowest one, for each worker: memory stays flat on any file. */
const AHEAD_PER_WORKER = 8;
const PROGRESS_EVERY_MS = 1000;

/** Answers a file line by line, in order: diagnoses on all cores, calculators at once. */
export async function runBatch(
  command: 'diagnose' | 'calc',
  file: string,
  streams: Streams,
  options: DiagnoseOptions = {},
): Promise<void> {
  const input = file === '-' ? streams.stdin : createReadStream(file, 'utf8');
  if (input !== streams.stdin) await once(input, 'open');
  const lines = nonEmpty(createInterface({ input, crlfDelay: Number.POSITIVE_INFINITY }));
  const write = async (line: string) => {
    if (!streams.stdout.write(`${line}\n`)) await once(streams.stdout, 'drain');
  };
  if (command === 'calc') {
    for await (const line of lines) {
      const outcome = calculateLine(line);
      await write(JSON.stringify('error' in outcome ? outcome : outcome.result));
    }
    return;
  }
  await diagnoseLines(lines, write, progressTo(streams), options);
}

async function* nonEmpty(lines: AsyncIterable<string>): AsyncIterable<string> {
  for await (const line of lines) if (line.trim() !== '') yield line;
}

async function diagnoseLines(
  lines: AsyncIterable<string>,
  write: (line: string) => Promise<void>,
  progress: (done: number) => void,
  options: DiagnoseOptions,
): Promise<void> {
  const pool = createPool(availableParallelism(), options);
  const waiting: Promise<string>[] = [];
  let done = 0;
  const settleFirst = async () => {
    const first = waiting.shift();
    if (first === undefined) return;
    await write(await first);
    progress(++done);
  };
  try {
    for await (const line of lines) {
      waiting.push(pool.answer(line));
      if (waiting.length >= pool.size * AHEAD_PER_WORKER) await settleFirst();
    }
    while (waiting.length > 0) await settleFirst();
  } finally {
    await pool.close();
  }
}

function createPool(size: number, workerData: DiagnoseOptions) {
  type Job = { line: string; resolve: (answer: string) => void; reject: (error: Error) => void };
  const queue: Job[] = [];
  const idle: Worker[] = [];
  const running = new Map<Worker, Job>();
  const workers = Array.from({ length: size }, () => {
    const worker = new Worker(new URL('./worker.mjs', import.meta.url), { workerData });
    worker.on('message', (answer: string) => {
      running.get(worker)?.resolve(answer);
      running.delete(worker);
      idle.push(worker);
      next();
    });
    worker.on('error', (error: Error) => running.get(worker)?.reject(error));
    idle.push(worker);
    return worker;
  });
  function next(): void {
    while (idle.length > 0 && queue.length > 0) {
      const worker = idle.pop()!;
      const job = queue.shift()!;
      running.set(worker, job);
      worker.postMessage(job.line);
    }
  }
  return {
    size,
    answer(line: string): Promise<string> {
      return new Promise((resolve, reject) => {
        queue.push({ line, resolve, reject });
        next();
      });
    },
    close: () => Promise.all(workers.map((worker) => worker.terminate())),
  };
}

/** Says on standard error how far a long batch is; never on standard output. */
function progressTo({ stderr }: Streams): (done: number) => void {
  const start = performance.now();
  let last = start;
  return (done) => {
    const now = performance.now();
    if (now - last < PROGRESS_EVERY_MS) return;
    last = now;
    const rate = done / ((now - start) / 1000);
    stderr.write(`${done} cases, ${rate.toFixed(1)} a second\n`);
  };
}
