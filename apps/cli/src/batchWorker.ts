import { parentPort, workerData } from 'node:worker_threads';
import { diagnoseCase } from './diagnoseCase.ts';
import type { DiagnoseOptions } from './diagnoseCase.ts';

const options = workerData as DiagnoseOptions;

parentPort?.on('message', (line: string) => {
  const outcome = diagnoseCase(line, options);
  parentPort?.postMessage(JSON.stringify('error' in outcome ? outcome : outcome.result));
});
