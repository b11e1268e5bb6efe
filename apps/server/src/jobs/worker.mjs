// Worker threads do not inherit the TypeScript loader of the main thread; this gives them one.
import { register } from 'tsx/esm/api';

register();
await import('./diagnosisWorker.ts');
