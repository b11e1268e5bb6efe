import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';

/** Reads cars on all cores, with progress on standard error. */
export function readAll<Read>(
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
