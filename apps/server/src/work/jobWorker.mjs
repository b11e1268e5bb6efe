// A process of its own does not inherit the TypeScript loader; this gives it one.
import { register } from 'tsx/esm/api';

register();
await import('./jobWorker.ts');
