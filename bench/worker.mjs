// Worker threads do not inherit the TypeScript loader of the main thread; this gives them one.
import { workerData } from 'node:worker_threads';
import { register } from 'tsx/esm/api';

register();
await import(workerData.module);
