import { parentPort, workerData } from 'node:worker_threads';
import type { PriceList } from '@keen/contract';
import { diagnoseCase } from './diagnoseCase.ts';

const { prices } = workerData as { prices?: PriceList };

parentPort?.on('message', (line: string) => {
  const outcome = diagnoseCase(line, prices);
  parentPort?.postMessage(JSON.stringify('error' in outcome ? outcome : outcome.result));
});
