import { runBundled } from '../bundled.mjs';

await runBundled('worker');
