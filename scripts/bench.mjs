import { join, resolve } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { buildNode } from './lib/nodeBuild.mjs';

/** Times the engine as it ships: see bench/speed.ts. */
const root = resolve(fileURLToPath(new URL('..', import.meta.url)));
process.chdir(root);
const folder = await buildNode(root, 'bench');
await import(pathToFileURL(join(folder, 'main.mjs')).href);
