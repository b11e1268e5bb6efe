import { parentPort } from 'node:worker_threads';
import { diagnoseCase } from './diagnoseCase.ts';

parentPort?.on('message', (line: string) => {
  const outcome = diagnoseCase(line);
  parentPort?.postMessage(JSON.stringify('error' in outcome ? outcome : outcome.result));
});
